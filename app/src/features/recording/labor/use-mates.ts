import { useMemo } from 'react';
import type { CrewId } from '@oilcan/core/kernel';
import { hasRole } from '@oilcan/core/operations';
import type { Person } from '@oilcan/core/plant/people';
import { isAssignedTo, type WorkOrder } from '@oilcan/core/orders/work';
import { useTable } from '../../../data/store/store';
import { useMe } from '../../../data/store/use-me';

export interface Mate {
  readonly person: Person;
  /** The crew in which they are with the person; undefined where they have the work anyway. */
  readonly crewId: CrewId | undefined;
}

interface Mates {
  /** Who has this work or is in a crew with me. */
  readonly near: readonly Mate[];
  /** Everybody else of the site who works. */
  readonly others: readonly Person[];
}

/** With whom the person may be working on this job, by name. */
export function useMates(work: WorkOrder): Mates {
  const me = useMe();
  const people = useTable('people');
  const crews = useTable('crews');
  return useMemo(() => {
    const ofSite = people
      .filter(
        (person) => person.id !== me && person.siteIds.includes(work.siteId) && hasRole(person, ['technician', 'lead']),
      )
      .sort((a, b) => a.name.localeCompare(b.name));
    const ofWork = crews.find(({ id }) => id === work.crewId);
    const mine = crews.filter(({ memberIds }) => memberIds.includes(me));
    const near = ofSite.flatMap((person): Mate[] => {
      if (isAssignedTo(work, person.id, ofWork)) return [{ person, crewId: undefined }];
      const crew = mine.find(({ memberIds }) => memberIds.includes(person.id));
      return crew === undefined ? [] : [{ person, crewId: crew.id }];
    });
    return { near, others: ofSite.filter(({ id }) => near.every(({ person }) => person.id !== id)) };
  }, [me, people, crews, work]);
}
