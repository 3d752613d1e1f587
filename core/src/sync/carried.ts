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

/** Whether phones carry this work order with its steps, entries and acknowledgements. */
export function isCarried(work: Pick<WorkOrder, 'finishedAt' | 'closedAt'>, now: Instant): boolean {
  const end = endOf(work);
  return end === null || end > carriedSince(now);
}
