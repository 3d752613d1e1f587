import type { ReactElement } from 'react';
import type { WorkOrder } from '@oilcan/core/orders/work';
import { FormField } from '../../../forms/form-field';
import { FormRefusal } from '../../../forms/form-refusal';
import { useOperationForm } from '../../../forms/use-operation-form';
import { BottomSheet } from '../../../ui/layout/bottom-sheet';
import { Button } from '../../../ui/press/press';
import { AppText } from '../../../ui/theme/app-text';

/** A lead decides that the work will not be done, and says why. */
export function DropSheet({ work, onClose }: { readonly work: WorkOrder; readonly onClose: () => void }): ReactElement {
  const { form, submit, refusal } = useOperationForm({
    operation: 'work.drop',
    about: work.id,
    defaultValues: { reason: '' },
    read: ({ reason }) => ({ args: { workOrderId: work.id, reason } }),
    said: `${work.number} is dropped.`,
    onDone: onClose,
  });
  return (
    <BottomSheet
      title={`Drop ${work.number}`}
      onClose={onClose}
      foot={<Button rank="primary" word="It will not be done" onPress={submit} />}
    >
      <AppText>What was recorded stays readable. Whoever has the job is told.</AppText>
      <FormField control={form.control} name="reason" label="Why" autoFocus />
      <FormRefusal sentence={refusal} />
    </BottomSheet>
  );
}
