import { useMemo } from 'react';
import { inOrderOfReview, type Unusual } from '@oilcan/core/finishing/review';
import type { WorkCost } from '@oilcan/core/recording/costs';
import { costOf } from '@oilcan/core/registry';
import type { Instant } from '@oilcan/core/kernel';
import type { WorkOrder } from '@oilcan/core/orders/work';
import { useAccepting } from '../../../data/store/accepting';
import { peekRows, useTable } from '../../../data/store/store';

/** A finished job that waits to be looked at. */
export interface Waiting {
  readonly work: WorkOrder;
  readonly finishedAt: Instant;
  readonly unusual: readonly Unusual[];
  readonly cost: WorkCost;
}

/** Finished work that waits, the unusual first. What was finished on this phone a moment ago has no reasons yet. */
export function useReviews(): readonly Waiting[] {
  const works = useTable('workOrders');
  const reviews = useTable('reviews');
  const accepting = useAccepting((state) => state.ids);
  return useMemo(() => {
    const found = new Map(reviews.map((review) => [review.workOrderId, review]));
    return inOrderOfReview(
      works.flatMap((work): Waiting[] => {
        if (work.state !== 'finished' || accepting.includes(work.id)) return [];
        const review = found.get(work.id);
        const cost = review?.cost ?? costOf(peekRows('entries', 'workOrder', work.id));
        return [{ work, finishedAt: work.finishedAt ?? work.createdAt, unusual: review?.unusual ?? [], cost }];
      }),
    );
  }, [works, reviews, accepting]);
}
