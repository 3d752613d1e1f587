import { useMemo } from 'react';
import { demandsOf, owedBefore, type Owed } from '@oilcan/core/finishing/lifecycle';
import { dueSteps } from '@oilcan/core/steps/rounds';
import type { Demands, WorkOrder } from '@oilcan/core/orders/work';
import { useRowsLater, useSettings } from '../store/store';
import { useMe } from '../store/use-me';

export interface OwedStanding {
  readonly owed: readonly Owed[];
  readonly demands: Demands;
}

/**
 * What the person still owes before they finish. It is worked out anew with everything that is recorded, so it follows a moment
 * after.
 *
 * @param isWanted without it nothing is read, and nothing is owed
 */
export function useOwed(work: WorkOrder, isWanted = true): OwedStanding | null {
  const me = useMe();
  const settings = useSettings(work.siteId);
  const id = isWanted ? work.id : undefined;
  const steps = useRowsLater('steps', 'workOrder', id);
  const stops = useRowsLater('stops', 'workOrder', id);
  const entries = useRowsLater('entries', 'workOrder', id);
  const clocks = useRowsLater('clocks', 'workOrder', id);
  const shares = useRowsLater('shares', 'workOrder', id);
  const points = useRowsLater('points', 'asset', isWanted ? work.assetId : undefined);
  return useMemo(() => {
    if (settings === undefined || !isWanted) return null;
    const demands = demandsOf(settings, work);
    const recorded = {
      work,
      steps: dueSteps(steps, stops),
      entries,
      clocks,
      shares,
      points: stops.length === 0 ? points : [],
    };
    return { owed: owedBefore(me, recorded, demands), demands };
  }, [me, work, settings, isWanted, steps, stops, entries, clocks, shares, points]);
}
