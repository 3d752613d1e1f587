import type { AssetId } from '../../../kernel/ids';
import type { Records } from '../../../records/records';
import type { WorkOrder } from './work-order';

/** Whether a machine is that of the job, at a stop of its round, or part of one of these, however deep. */
export async function isOfJob(records: Records, work: WorkOrder, assetId: AssetId): Promise<boolean> {
  const stops = await records.list('stops', 'workOrder', work.id);
  const own = new Set<AssetId>([work.assetId, ...stops.map((stop) => stop.assetId)]);
  const seen = new Set<AssetId>();
  for (let id: AssetId | null = assetId; id !== null && !seen.has(id);) {
    if (own.has(id)) return true;
    seen.add(id);
    id = (await records.get('assets', id))?.parentId ?? null;
  }
  return false;
}
