import type { ReactElement } from 'react';
import type { PersonId } from '@oilcan/core/kernel';
import type { WorkOrder } from '@oilcan/core/orders/work';
import { useRow } from '../../../data/store/store';
import { FormField } from '../../../forms/form-field';
import { FormRefusal } from '../../../forms/form-refusal';
import { useOperationForm } from '../../../forms/use-operation-form';
import { BottomSheet } from '../../../ui/layout/bottom-sheet';
import { Button } from '../../../ui/press/press';
import { AppText } from '../../../ui/theme/app-text';

interface Props {
  readonly work: WorkOrder;
  readonly pointId: string;
  readonly of: PersonId;
  readonly onClose: () => void;
}

/** A lead takes off the lock of somebody who is gone, and says why. */
export function LockOffSheet({ work, pointId, of, onClose }: Props): ReactElement {
  const person = useRow('people', of);
  const { form, submit, refusal } = useOperationForm({
    operation: 'isolation.record',
    about: `${work.id} ${pointId}`,
    defaultValues: { reason: '' },
    read: ({ reason }) => ({ args: { workOrderId: work.id, act: 'unlock', pointId, ofPersonId: of, reason } }),
    said: 'Lock off.',
    onDone: onClose,
  });
  return (
    <BottomSheet
      title={`Lock of ${person?.name ?? 'somebody else'}`}
      aside={work.number}
      onClose={onClose}
      foot={<Button rank="primary" word="The lock is off" onPress={submit} />}
    >
      <AppText>
        Take it off only when you know that {person?.name ?? 'this person'} is not at the machine, and tell them before
        they come back.
      </AppText>
      <FormField control={form.control} name="reason" label="Why" autoFocus />
      <FormRefusal sentence={refusal} />
    </BottomSheet>
  );
}
