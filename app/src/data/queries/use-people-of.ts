import { useMemo } from 'react';
import type { SiteId } from '@oilcan/core/kernel';
import { hasRole } from '@oilcan/core/operations';
import type { Person } from '@oilcan/core/plant/people';
import { usePhone, useTable } from '../store/store';

/** Of whom somebody is chosen: the likely ones, who are shown at once, and all others. */
export interface PeopleToChoose {
  readonly likely: readonly Person[];
  readonly others: readonly Person[];
}

/** As many are shown without being asked for; where there are no more, all are likely. */
const SHOWN_AT_ONCE = 10;

/** Whoever does work: of them it is chosen who has a job, a share or a look at something. */
export const workers: Person['roles'] = ['technician', 'lead'];

interface Among {
  /** Everybody where it is left out. */
  readonly roles?: Person['roles'];
  readonly isWithoutMe?: boolean;
}

/** The people of a site, or of all that are known where it is null: oneself first, then those of one's crews, then by name. */
export function usePeopleOf(siteId: SiteId | null, { roles, isWithoutMe = false }: Among = {}): PeopleToChoose {
  const me = usePhone((state) => state.person?.id);
  const people = useTable('people');
  const crews = useTable('crews');
  return useMemo(() => {
    const mine = new Set(crews.flatMap(({ memberIds }) => (memberIds.some((id) => id === me) ? memberIds : [])));
    const nearness = ({ id }: Person): number => (id === me ? 0 : mine.has(id) ? 1 : 2);
    const all = people
      .filter(
        (person) =>
          (siteId === null || person.siteIds.includes(siteId)) &&
          (roles === undefined || hasRole(person, roles)) &&
          !(isWithoutMe && person.id === me),
      )
      .sort((a, b) => nearness(a) - nearness(b) || a.name.localeCompare(b.name));
    if (all.length <= SHOWN_AT_ONCE) return { likely: all, others: [] };
    const near = all.filter((person) => nearness(person) < 2).slice(0, SHOWN_AT_ONCE);
    return { likely: near, others: all.filter((person) => !near.includes(person)) };
  }, [people, crews, me, siteId, roles, isWithoutMe]);
}
