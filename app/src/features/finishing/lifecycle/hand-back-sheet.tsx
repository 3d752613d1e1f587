import type { ReactElement } from 'react';
import type { WorkOrder } from '@oilcan/core/orders/work';
import { FormField } from '../../../forms/form-field';
import { FormRefusal } from '../../../forms/form-refusal';
import { useOperationForm } from '../../../forms/use-operation-form';
import { BottomSheet } from '../../../ui/layout/bottom-sheet';
import { Button } from '../../../ui/press/press';

/** A lead sends finished work back, and says what is missing. */
export function HandBackSheet({
  work,
  onClose,
}: {
  readonly work: WorkOrder;
  readonly onClose: () => void;
}): ReactElement {
  const { form, submit, refusal } = useOperationForm({
    operation: 'work.hand-back',
    about: work.id,
    defaultValues: { reason: '' },
    read: ({ reason }) => ({ args: { workOrderId: work.id, reason } }),
    said: `${work.number} is handed back.`,
    onDone: onClose,
  });
  return (
    <BottomSheet
      title={`Hand back ${work.number}`}
      onClose={onClose}
      foot={<Button rank="primary" word="Hand it back" onPress={submit} />}
    >
      <FormField control={form.control} name="reason" label="What is missing" autoFocus />
      <FormRefusal sentence={refusal} />
    </BottomSheet>
  );
}
