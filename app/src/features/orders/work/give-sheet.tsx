import type { ReactElement } from 'react';
import type { CrewId, PersonId } from '@oilcan/core/kernel';
import type { WorkOrder } from '@oilcan/core/orders/work';
import { WhoDoesIt } from '../../../forms/who-does-it';
import { FormRefusal } from '../../../forms/form-refusal';
import { useOperationForm } from '../../../forms/use-operation-form';
import { BottomSheet } from '../../../ui/layout/bottom-sheet';
import { Button } from '../../../ui/press/press';

/** A lead gives the work order to people, to a crew, or to both. */
export function GiveSheet({ work, onClose }: { readonly work: WorkOrder; readonly onClose: () => void }): ReactElement {
  const { form, submit, refusal } = useOperationForm({
    operation: 'work.give',
    about: work.id,
    defaultValues: { personIds: [...work.personIds], crewId: work.crewId },
    read: (given: { personIds: PersonId[]; crewId: CrewId | null }) => ({ args: { workOrderId: work.id, ...given } }),
    said: 'Given.',
    onDone: onClose,
  });
  const [personIds, crewId] = form.watch(['personIds', 'crewId']);
  const { errors } = form.formState;
  return (
    <BottomSheet
      title="Give it to"
      aside={work.number}
      onClose={onClose}
      foot={
        <Button
          rank="primary"
          word={personIds.length === 0 && crewId === null ? 'Leave it to nobody' : 'Give it'}
          onPress={submit}
        />
      }
    >
      <WhoDoesIt
        label="People and crew"
        siteId={work.siteId}
        personIds={personIds}
        crewId={crewId}
        onPeople={(ids) => form.setValue('personIds', [...ids])}
        onCrew={(id) => form.setValue('crewId', id)}
      />
      <FormRefusal sentence={errors.personIds?.message ?? errors.crewId?.message ?? refusal} />
    </BottomSheet>
  );
}
