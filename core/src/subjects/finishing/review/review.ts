import type { PersonId, SiteId, WorkOrderId } from '../../../kernel/ids';
import type { Viewer } from '../../../records/table';
import { addMinutes, type Instant } from '../../../kernel/time/instant';
import type { WorkCost } from '../../recording/costs/cost';
import type { Unusual } from './unusual';

/**
 * What a lead looks at finished work by. The server makes it when work is finished, keeps it up to date until it is accepted, and
 * leaves it then as it was: with what the job cost at the rates of the day.
 */
export interface Review {
  /** The work order's. */
  readonly id: WorkOrderId;
  readonly siteId: SiteId;
  readonly workOrderId: WorkOrderId;
  /** The leads of its site. */
  readonly readerIds: readonly PersonId[];
  readonly finishedAt: Instant;
  /** When it was accepted; null while it waits. */
  readonly acceptedAt: Instant | null;
  readonly unusual: readonly Unusual[];
  readonly cost: WorkCost;
}

/** What people's time costs is left out for whoever may not know it. */
export function shownReview(review: Review, { mayKnow }: Viewer): Review {
  if (mayKnow.has('laborCost')) return review;
  const { cost, unusual } = review;
  return {
    ...review,
    unusual: unusual.filter(({ is }) => is !== 'cost'),
    cost: { ...cost, groups: { ...cost.groups, time: null }, total: [] },
  };
}

/** Accepted work leaves the Desk after so long. */
const RECENT_DAYS = 3;

export function isReviewKept({ acceptedAt }: Review, now: Instant): boolean {
  return acceptedAt === null || acceptedAt > addMinutes(now, -RECENT_DAYS * 24 * 60);
}

/** The unusual first, those with most against them before the others; of equals what waits longest. */
export function inOrderOfReview<R extends Pick<Review, 'unusual' | 'finishedAt'>>(reviews: readonly R[]): R[] {
  return [...reviews].sort(
    (a, b) =>
      b.unusual.length - a.unusual.length || (a.finishedAt < b.finishedAt ? -1 : a.finishedAt > b.finishedAt ? 1 : 0),
  );
}
