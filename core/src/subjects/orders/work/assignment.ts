import type { PersonId } from '../../../kernel/ids';
import { hasRole } from '../../../operations/actor';
import type { Crew, Person } from '../../plant/people/people';
import type { WorkOrder } from './work-order';

/** What says to whom work is given. */
export type Given = Pick<WorkOrder, 'personIds' | 'crewId' | 'sharedWith'>;

/** Everybody who has it as a person: by name, or through a share of it. */
export function peopleOn({ personIds, sharedWith }: Pick<WorkOrder, 'personIds' | 'sharedWith'>): PersonId[] {
  return sharedWith === undefined ? [...personIds] : [...new Set([...personIds, ...sharedWith])];
}

/** Whether the work is the person's own: assigned by name, through a share, or to a crew the person belongs to. */
export function isAssignedTo(work: Given, personId: PersonId, crew: Crew | undefined): boolean {
  if (work.personIds.includes(personId) || work.sharedWith?.includes(personId) === true) return true;
  return work.crewId !== null && crew?.id === work.crewId && crew.memberIds.includes(personId);
}

/** Everybody to whom a work order is given: people and crews, by their ids. */
export function assigneesOf(work: Given): string[] {
  return [...peopleOn(work), ...(work.crewId === null ? [] : [work.crewId])];
}

/**
 * For whom a person carries work orders whole, with what belongs to them: for all when a lead,
 * else for themselves and their crews. Of other work on their sites they carry what it is, and look up the rest.
 */
export function fullyReplicatedFor(person: Person, crews: readonly Crew[]): 'all' | ReadonlySet<string> {
  return hasRole(person, ['lead']) ? 'all' : assigneesFor(person, crews);
}

/** By whose ids work is a person's own: by their own, and by those of their crews. */
export function assigneesFor(person: Person, crews: readonly Crew[]): ReadonlySet<string> {
  const own = crews.filter((crew) => crew.memberIds.includes(person.id)).map((crew) => crew.id);
  return new Set<string>([person.id, ...own]);
}

/** Whether a person who carries whole for these carries this work order whole. */
export function isWholeFor(work: Given, carriedFor: 'all' | ReadonlySet<string>): boolean {
  return carriedFor === 'all' || assigneesOf(work).some((id) => carriedFor.has(id));
}
