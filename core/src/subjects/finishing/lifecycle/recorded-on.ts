import type { Records } from '../../../records/records';
import { dueSteps } from '../../steps/rounds/round';
import type { WorkOrder } from '../../orders/work/work-order';
import type { Recorded } from './owed';

/** What a work order holds of which something can be owed. */
export async function recordedOn(records: Records, work: WorkOrder): Promise<Recorded> {
  const stops = await records.list('stops', 'workOrder', work.id);
  return {
    work,
    steps: dueSteps(await records.list('steps', 'workOrder', work.id), stops),
    entries: await records.list('entries', 'workOrder', work.id),
    clocks: await records.list('clocks', 'workOrder', work.id),
    shares: await records.list('shares', 'workOrder', work.id),
    points: stops.length === 0 ? await records.list('points', 'asset', work.assetId) : [],
  };
}
