import { addMinutes, type Instant } from '../../../kernel/time/instant';
import { isClosed } from './states';
import type { WorkOrder } from './work-order';

/** Accepted and dropped work stays on the phones for so many days. */
export const WORK_REPLICATED_DAYS = 3;

/** What is carried for so many days after its end, and ended before this moment, is carried no more. */
export function carriedSince(now: Instant, daysAfterEnd: number = WORK_REPLICATED_DAYS): Instant {
  return addMinutes(now, -daysAfterEnd * 24 * 60);
}

/** What says whether and when work has ended. */
export type Ending = Pick<WorkOrder, 'state' | 'closedAt' | 'lastTransition'>;

/**
 * When it came to be known, by the server's time, that the work was accepted or dropped; null until then. Work that is
 * finished waits for somebody, so it has not ended, however long it waits and whenever it was done.
 */
export function endOf(work: Ending): Instant | null {
  return isClosed(work.state) ? (work.lastTransition?.since ?? work.closedAt) : null;
}

/** Whether phones of its site carry this work order. */
export function isReplicated(work: Ending, now: Instant): boolean {
  const end = endOf(work);
  return end === null || end > carriedSince(now);
}
