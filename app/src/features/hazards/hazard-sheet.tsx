import { useState, type ReactElement } from 'react';
import type { WorkOrder } from '@oilcan/core/work';
import { useOperation } from '../../data/use-operation';
import { BottomSheet } from '../../ui/bottom-sheet';
import { Field } from '../../ui/field';
import { Button } from '../../ui/press';
import { Words } from '../../ui/words';

/** Something dangerous that is not on the list yet. */
export function HazardSheet({
  work,
  onClose,
}: {
  readonly work: WorkOrder;
  readonly onClose: () => void;
}): ReactElement {
  const { run, errorAt } = useOperation();
  const [hazard, setHazard] = useState('');
  const [control, setControl] = useState('');
  const add = async (): Promise<void> => {
    if (await run('work.add-hazard', { workOrderId: work.id, hazard, control }, 'Hazard added.')) onClose();
  };
  return (
    <BottomSheet
      title="Add a hazard"
      aside={work.number}
      onClose={onClose}
      foot={<Button main word="Add it to the list" onPress={() => void add()} />}
    >
      <Field label="What is dangerous" value={hazard} onChange={setHazard} error={errorAt('hazard')} autoFocus />
      <Field label="Control: what is done about it" value={control} onChange={setControl} error={errorAt('control')} />
      <Words soft>Everybody else on this work order reads the list again before going on.</Words>
    </BottomSheet>
  );
}
