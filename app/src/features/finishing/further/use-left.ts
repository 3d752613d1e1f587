import { useMemo } from 'react';
import { leftOvers, type LeftOver } from '@oilcan/core/finishing/further';
import { openAlarmWork } from '@oilcan/core/steps/readings';
import type { WorkOrder } from '@oilcan/core/orders/work';
import { peekRow, peekRows, useRows } from '../../../data/store/store';

/** What this job leaves to be done, and for which nobody has raised work yet. */
export function useLeft(work: WorkOrder): readonly LeftOver[] {
  const steps = useRows('steps', 'workOrder', work.id);
  const stops = useRows('stops', 'workOrder', work.id);
  const entries = useRows('entries', 'workOrder', work.id);
  const shares = useRows('shares', 'workOrder', work.id);
  const led = useRows('workOrders', 'cameFrom', work.id);
  return useMemo(
    () =>
      leftOvers({
        work,
        steps,
        stops,
        entries,
        shares,
        led,
        pointOf: (id) => peekRow('points', id),
        isAnswered: (pointId) => {
          const assetId = peekRow('points', pointId)?.assetId ?? work.assetId;
          return openAlarmWork(peekRows('workOrders', 'asset', assetId), pointId) !== undefined;
        },
      }),
    [work, steps, stops, entries, shares, led],
  );
}
