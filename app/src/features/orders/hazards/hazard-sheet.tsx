import type { ReactElement } from 'react';
import type { WorkOrder } from '@oilcan/core/orders/work';
import { FormField } from '../../../forms/form-field';
import { FormRefusal } from '../../../forms/form-refusal';
import { useOperationForm } from '../../../forms/use-operation-form';
import { BottomSheet } from '../../../ui/layout/bottom-sheet';
import { Button } from '../../../ui/press/press';
import { AppText } from '../../../ui/theme/app-text';

/** Something dangerous that is not on the list yet. */
export function HazardSheet({
  work,
  onClose,
}: {
  readonly work: WorkOrder;
  readonly onClose: () => void;
}): ReactElement {
  const { form, submit, refusal } = useOperationForm({
    operation: 'work.add-hazard',
    about: work.id,
    defaultValues: { hazard: '', control: '' },
    read: (typed) => ({ args: { workOrderId: work.id, ...typed } }),
    said: 'Hazard added.',
    onDone: onClose,
  });
  return (
    <BottomSheet
      title="Add a hazard"
      aside={work.number}
      onClose={onClose}
      foot={<Button rank="primary" word="Add it to the list" onPress={submit} />}
    >
      <FormField control={form.control} name="hazard" label="What is dangerous" autoFocus />
      <FormField control={form.control} name="control" label="Control: what is done about it" />
      <FormRefusal sentence={refusal} />
      <AppText soft>Everybody else on this work order reads the list again before going on.</AppText>
    </BottomSheet>
  );
}
