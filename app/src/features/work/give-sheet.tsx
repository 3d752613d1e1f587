import type { ReactElement } from 'react';
import type { CrewId, PersonId } from '@oilcan/core/kernel';
import type { WorkOrder } from '@oilcan/core/work';
import { useTable } from '../../data/store';
import { usePeopleOf } from '../../data/use-people-of';
import { PeopleChoice } from '../../forms/people-choice';
import { FormRefusal } from '../../forms/form-refusal';
import { useOperationForm } from '../../forms/use-operation-form';
import { BottomSheet } from '../../ui/bottom-sheet';
import { Choice } from '../../ui/choice';
import { Button } from '../../ui/press';
import { Words } from '../../ui/words';

/** A lead gives the work order to people, to a crew, or to both. */
export function GiveSheet({ work, onClose }: { readonly work: WorkOrder; readonly onClose: () => void }): ReactElement {
  const people = usePeopleOf(work.siteId);
  const crews = useTable('crews').filter(({ siteIds }) => siteIds.includes(work.siteId));
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
  const toggle = (id: PersonId): void =>
    form.setValue('personIds', personIds.includes(id) ? personIds.filter((each) => each !== id) : [...personIds, id]);
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
      <PeopleChoice label="People" {...people} chosen={personIds} onPress={toggle} />
      <Words as="label">Crew</Words>
      {crews.map(({ id, name }) => (
        <Choice
          key={id}
          isMany
          word={name}
          isChosen={crewId === id}
          onPress={() => form.setValue('crewId', crewId === id ? null : id)}
        />
      ))}
      <FormRefusal sentence={errors.personIds?.message ?? errors.crewId?.message ?? refusal} />
    </BottomSheet>
  );
}
