import type { PersonId, SiteId, WorkOrderId } from '../../kernel/ids';
import { minutesBetween, type Instant } from '../../kernel/time/instant';

/** Somebody's running clock. A person has at most one, so the person's id is its id. */
export interface Clock {
  readonly id: PersonId;
  readonly siteId: SiteId;
  readonly workOrderId: WorkOrderId;
  readonly startedAt: Instant;
}

/** Whole minutes that a clock has run; what ran at all counts as one. */
export function clockMinutes(startedAt: Instant, until: Instant): number {
  return Math.max(1, minutesBetween(startedAt, until));
}
