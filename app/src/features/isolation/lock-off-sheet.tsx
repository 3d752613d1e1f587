import { useState, type ReactElement } from 'react';
import type { PersonId } from '@oilcan/core/kernel';
import type { WorkOrder } from '@oilcan/core/work';
import { useRow } from '../../data/store';
import { useOperation } from '../../data/use-operation';
import { BottomSheet } from '../../ui/bottom-sheet';
import { Field } from '../../ui/field';
import { Button } from '../../ui/press';
import { Words } from '../../ui/words';

interface Props {
  readonly work: WorkOrder;
  readonly pointId: string;
  readonly of: PersonId;
  readonly onClose: () => void;
}

/** A lead takes off the lock of somebody who is gone, and says why. */
export function LockOffSheet({ work, pointId, of, onClose }: Props): ReactElement {
  const { run, errorAt } = useOperation();
  const person = useRow('people', of);
  const [reason, setReason] = useState('');
  const takeOff = async (): Promise<void> => {
    const args = { workOrderId: work.id, act: 'unlock' as const, pointId, ofPersonId: of, reason };
    if (await run('isolation.record', args, 'Lock off.')) onClose();
  };
  return (
    <BottomSheet
      title={`Lock of ${person?.name ?? 'somebody else'}`}
      aside={work.number}
      onClose={onClose}
      foot={<Button main word="The lock is off" onPress={() => void takeOff()} />}
    >
      <Words>
        Take it off only when you know that {person?.name ?? 'this person'} is not at the machine, and tell them before
        they come back.
      </Words>
      <Field label="Why" value={reason} onChange={setReason} error={errorAt('reason')} autoFocus />
    </BottomSheet>
  );
}
