import type { PersonId, SiteId, WorkOrderId } from '../../../kernel/ids';
import { minutesBetween, type Instant } from '../../../kernel/time/instant';

/** Somebody's clock. A person has at most one, so the person's id is its id. */
export interface Clock {
  readonly id: PersonId;
  readonly siteId: SiteId;
  readonly workOrderId: WorkOrderId;
  /** Since when it runs; where it is paused, since when it stands. */
  readonly startedAt: Instant;
  /** It stands, and what it ran before is recorded; absent while it runs. */
  readonly isPaused?: true;
  /** The mate who started it; absent where its person did. */
  readonly startedBy?: PersonId;
}

/** Whole minutes that a clock has run; what ran at all counts as one. */
export function clockMinutes(startedAt: Instant, until: Instant): number {
  return Math.max(1, minutesBetween(startedAt, until));
}

/** Clocks that run: one that is paused has nothing left to record. */
export function runningClocks(clocks: readonly Clock[]): Clock[] {
  return clocks.filter(({ isPaused }) => isPaused !== true);
}

/**
 * Who is on work that is underway, by the clocks on it: the person themselves, others, or nobody now.
 *
 * @param clocks those of this work order
 */
export function whoIsOn(
  clocks: readonly Clock[],
  me: PersonId,
):
  | { readonly is: 'me' }
  | { readonly is: 'others'; readonly personIds: readonly PersonId[] }
  | { readonly is: 'nobody' } {
  const running = runningClocks(clocks).map(({ id }) => id);
  if (running.includes(me)) return { is: 'me' };
  return running.length === 0 ? { is: 'nobody' } : { is: 'others', personIds: running };
}
