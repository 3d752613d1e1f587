import { hasRole, type Crew, type Person } from '../people/people';
import { addMinutes, type Instant } from '../time/instant';
import { isClosed } from '../work/states';
import type { WorkOrder } from '../work/work-order';

/** Accepted and dropped work stays on the phones for this long. */
const RECENT_DAYS = 3;

/** Work that ended before this moment is not carried on phones. */
export function carriedSince(now: Instant): Instant {
  return addMinutes(now, -RECENT_DAYS * 24 * 60);
}

/** What says whether and when work has ended. */
export type Ending = Pick<WorkOrder, 'state' | 'closedAt' | 'turned'>;

/**
 * When it came to be known, by the server's time, that the work was accepted or dropped; null until then. Work that is
 * finished waits for somebody, so it has not ended, however long it waits and whenever it was done.
 */
export function endOf(work: Ending): Instant | null {
  return isClosed(work.state) ? (work.turned?.since ?? work.closedAt) : null;
}

/** Whether phones of its site carry this work order. */
export function isCarried(work: Ending, now: Instant): boolean {
  const end = endOf(work);
  return end === null || end > carriedSince(now);
}

/** Everybody to whom a work order is given: people and crews, by their ids. */
export function assigneesOf(work: Pick<WorkOrder, 'personIds' | 'crewId'>): string[] {
  return [...work.personIds, ...(work.crewId === null ? [] : [work.crewId])];
}

/**
 * For whom a person carries work orders whole, with the rows of `tablesOfWork`: for all when a lead,
 * else for themselves and their crews. Of other work on their sites they carry what it is, and look up the rest.
 */
export function carriesWholeFor(person: Person, crews: readonly Crew[]): 'all' | ReadonlySet<string> {
  return hasRole(person, ['lead']) ? 'all' : assigneesFor(person, crews);
}

/** By whose ids work is a person's own: by their own, and by those of their crews. */
export function assigneesFor(person: Person, crews: readonly Crew[]): ReadonlySet<string> {
  const own = crews.filter((crew) => crew.memberIds.includes(person.id)).map((crew) => crew.id);
  return new Set<string>([person.id, ...own]);
}

/** Whether a person who carries whole for these carries this work order whole. */
export function isWholeFor(
  work: Pick<WorkOrder, 'personIds' | 'crewId'>,
  carriedFor: 'all' | ReadonlySet<string>,
): boolean {
  return carriedFor === 'all' || assigneesOf(work).some((id) => carriedFor.has(id));
}
