import type { Instant } from '../../../kernel/time/instant';
import type { Records } from '../../../records/records';
import type { WorkOrder } from './work-order';

/**
 * What a work order came from, and which goes on or closes with it: a plan, a report. Whatever else work comes from adds one of these to
 * `lifecycle/followers.ts`, and hears of every end in the same transaction.
 */
export interface FollowsWork {
  /** The work was finished, or dropped. */
  readonly ended: (records: Records, work: WorkOrder, was: 'done' | 'dropped', at: Instant) => Promise<void>;
  /** It was handed back, and is open again. */
  readonly reopened: (records: Records, work: WorkOrder, at: Instant) => Promise<void>;
}
