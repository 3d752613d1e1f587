import { hasRole, type Crew, type Person } from '../people/people';
import { addMinutes, type Instant } from '../time/instant';
import type { WorkOrder } from '../work/work-order';

/** Finished, accepted and dropped work stays on the phones for this long. */
const RECENT_DAYS = 3;

/** Work that ended before this moment is not carried on phones. */
export function carriedSince(now: Instant): Instant {
  return addMinutes(now, -RECENT_DAYS * 24 * 60);
}

/** When the work left the open work; null while it is open. */
export function endOf(work: Pick<WorkOrder, 'finishedAt' | 'closedAt'>): Instant | null {
  return work.closedAt ?? work.finishedAt;
}

/** Whether phones of its site carry this work order. */
export function isCarried(work: Pick<WorkOrder, 'finishedAt' | 'closedAt'>, now: Instant): boolean {
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
