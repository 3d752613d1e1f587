import type { ReactElement } from 'react';
import type { CrewId, PersonId, SiteId } from '@oilcan/core/kernel';
import { useTable } from '../data/store/store';
import { usePeopleOf } from '../data/queries/use-people-of';
import { Choice } from '../ui/fields/choice';
import { toggled } from '../ui/state/toggled';
import { PeopleChoice } from './people-choice';

/** Who has work: people, a crew, or both. Every form that gives work has this one. */
export function WhoDoesIt({
  label = 'Who does it',
  siteId,
  personIds,
  crewId = null,
  onPeople,
  onCrew,
}: {
  readonly label?: string;
  readonly siteId: SiteId;
  readonly personIds: readonly PersonId[];
  readonly crewId?: CrewId | null;
  readonly onPeople: (ids: readonly PersonId[]) => void;
  /** Left out where it is given to people only. */
  readonly onCrew?: (id: CrewId | null) => void;
}): ReactElement {
  const people = usePeopleOf(siteId);
  const allCrews = useTable('crews');
  const crews = onCrew === undefined ? [] : allCrews.filter(({ siteIds }) => siteIds.includes(siteId));
  return (
    <PeopleChoice label={label} {...people} chosen={personIds} onPress={(id) => onPeople(toggled(personIds, id))}>
      {crews.map(({ id, name }) => (
        <Choice
          key={id}
          isMany
          word={name}
          isChosen={crewId === id}
          onPress={() => onCrew?.(crewId === id ? null : id)}
        />
      ))}
    </PeopleChoice>
  );
}
