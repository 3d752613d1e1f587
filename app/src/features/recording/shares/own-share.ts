import { useMemo } from 'react';
import { hasOnlyShares, progressOfShares } from '@oilcan/core/recording/shares';
import type { Progress, Step } from '@oilcan/core/steps/steps';
import type { WorkOrder } from '@oilcan/core/orders/work';
import { useRow, useRows } from '../../../data/store/store';
import { useMe } from '../../../data/store/use-me';

/** What of a job is one's own. */
export interface OwnShare {
  readonly progress: Progress;
  readonly plannedMinutes: number;
  /** Whether one has the job through the share alone. */
  readonly isAll: boolean;
}

/** One's own share of a job, several as one; null where one has none. */
export function useOwnShare(work: WorkOrder, steps: readonly Step[]): OwnShare | null {
  const me = useMe();
  const isHolder = work.sharedWith?.includes(me) === true;
  const shares = useRows('shares', 'workOrder', isHolder ? work.id : undefined);
  const crew = useRow('crews', work.crewId);
  return useMemo(() => {
    if (!isHolder) return null;
    const own = shares.filter(({ personId }) => personId === me);
    if (own.length === 0) return null;
    const each = progressOfShares(shares, steps);
    return {
      progress: own.reduce(
        (sum, { id }) => ({ done: sum.done + (each.get(id)?.done ?? 0), of: sum.of + (each.get(id)?.of ?? 0) }),
        { done: 0, of: 0 },
      ),
      plannedMinutes: own.reduce((sum, { plannedMinutes }) => sum + plannedMinutes, 0),
      isAll: hasOnlyShares(work, me, crew),
    };
  }, [isHolder, shares, steps, me, work, crew]);
}
