import { useState, type ReactElement } from 'react';
import type { CrewId, PersonId } from '@oilcan/core/kernel';
import type { WorkOrder } from '@oilcan/core/work';
import { useTable } from '../../data/store';
import { useOperation } from '../../data/use-operation';
import { BottomSheet } from '../../ui/bottom-sheet';
import { Button, Choice } from '../../ui/press';
import { usePalette } from '../../ui/use-palette';
import { Words } from '../../ui/words';

/** A lead gives the work order to people, to a crew, or to both. */
export function GiveSheet({ work, onClose }: { readonly work: WorkOrder; readonly onClose: () => void }): ReactElement {
  const palette = usePalette();
  const { run, errorAt } = useOperation();
  const people = useTable('people').filter(({ siteIds }) => siteIds.includes(work.siteId));
  const crews = useTable('crews').filter(({ siteIds }) => siteIds.includes(work.siteId));
  const [personIds, setPersonIds] = useState<readonly PersonId[]>(work.personIds);
  const [crewId, setCrewId] = useState<CrewId | null>(work.crewId);
  const give = async (): Promise<void> => {
    if (await run('work.give', { workOrderId: work.id, personIds: [...personIds], crewId }, 'Given.')) onClose();
  };
  const toggle = (id: PersonId): void =>
    setPersonIds(personIds.includes(id) ? personIds.filter((each) => each !== id) : [...personIds, id]);
  const error = errorAt('personIds') ?? errorAt('crewId');
  return (
    <BottomSheet
      title="Give it to"
      aside={work.number}
      onClose={onClose}
      foot={
        <Button
          main
          word={personIds.length === 0 && crewId === null ? 'Leave it to nobody' : 'Give it'}
          onPress={() => void give()}
        />
      }
    >
      {people.map(({ id, name }) => (
        <Choice key={id} isMany word={name} isChosen={personIds.includes(id)} onPress={() => toggle(id)} />
      ))}
      <Words as="label">Crew</Words>
      {crews.map(({ id, name }) => (
        <Choice
          key={id}
          isMany
          word={name}
          isChosen={crewId === id}
          onPress={() => setCrewId(crewId === id ? null : id)}
        />
      ))}
      {error === null ? null : <Words color={palette.faulty}>{error}</Words>}
    </BottomSheet>
  );
}
