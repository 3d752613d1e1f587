import type { ReactElement } from 'react';
import type { WorkOrder } from '@oilcan/core/orders/work';
import { peekRow } from '../../../data/store/store';
import { FormField } from '../../../forms/form-field';
import { FormRefusal } from '../../../forms/form-refusal';
import { useOperationForm } from '../../../forms/use-operation-form';
import { BottomSheet } from '../../../ui/layout/bottom-sheet';
import { Button } from '../../../ui/press/press';
import { conditionWords } from '../../../words/plant-words';

interface Props {
  readonly work: WorkOrder;
  readonly onClose: () => void;
}

/** The machine is given to maintenance: by whom, how it is, where. */
export function GiveMachineSheet({ work, onClose }: Props): ReactElement {
  const asset = peekRow('assets', work.assetId);
  const { form, submit, refusal } = useOperationForm({
    operation: 'machine.give',
    about: work.id,
    defaultValues: {
      from: '',
      condition: asset === undefined ? '' : conditionWords[asset.condition],
      where: peekRow('places', work.placeId)?.name ?? '',
    },
    read: ({ from, condition, where }) => ({
      args: { workOrderId: work.id, from: from.trim(), condition: condition.trim(), where: where.trim() },
    }),
    said: 'Kept: the machine is with maintenance.',
    onDone: onClose,
  });
  return (
    <BottomSheet
      title="Machine handed over to maintenance"
      aside={asset?.name ?? ''}
      onClose={onClose}
      foot={<Button rank="primary" word="Keep" onPress={submit} />}
    >
      <FormField control={form.control} name="from" label="Who gives it" autoFocus />
      <FormField control={form.control} name="condition" label="How it is" />
      <FormField control={form.control} name="where" label="Where it is (not needed)" />
      <FormRefusal sentence={refusal} />
    </BottomSheet>
  );
}
