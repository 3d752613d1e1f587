import { byId, type WorkOrderId } from '@oilcan/core/kernel';
import { kitListParts, type KitListRows } from '@oilcan/core/stores/kit-list';
import { stockLevelId, usedIn } from '@oilcan/core/stores/stock';
import type { NoticeFact, WorkOrder } from '@oilcan/core/orders/work';
import type { SqlRecords } from '../database/sql-records';

/**
 * Parts of which less lies in their bins than these work orders together still need, by work order.
 */
export async function shortParts(
  records: SqlRecords,
  works: readonly WorkOrder[],
): Promise<ReadonlyMap<WorkOrderId, readonly NoticeFact[]>> {
  const rows = await kitRows(records, works);
  const short = new Map<WorkOrderId, NoticeFact[]>();
  for (const line of kitListParts(works, rows)) {
    const part = rows.parts.get(line.partId);
    if (line.short === 0 || part === undefined) continue;
    const fact: NoticeFact = {
      is: 'short',
      part: part.name,
      onHand: Math.max(0, line.onHand ?? 0),
      needed: line.needed,
      unit: line.unit,
      jobs: line.workOrderIds.length,
    };
    for (const id of line.workOrderIds) short.set(id, [...(short.get(id) ?? []), fact]);
  }
  return short;
}

/** What adding up their kits needs: of stock only what lies in the bins that are planned. */
async function kitRows(records: SqlRecords, works: readonly WorkOrder[]): Promise<KitListRows> {
  const kit = works.flatMap((work) => work.kit);
  const parts = await records.getMany('parts', unique(kit.map(({ partId }) => partId)));
  const bins = await records.getMany('bins', unique(kit.map(({ binId }) => binId)));
  const levelIds = unique(kit.map(({ partId, binId }) => stockLevelId(partId, binId)));
  const levels = await records.getMany('stock', levelIds);
  const used = new Map<WorkOrderId, ReturnType<typeof usedIn>>();
  for (const { id } of works) used.set(id, usedIn(await records.list('entries', 'workOrder', id)));
  return {
    parts: byId(parts),
    bins: byId(bins),
    stores: new Map(),
    levels,
    usedOf: (workOrderId, partId) => used.get(workOrderId)?.(partId) ?? 0,
  };
}

const unique = (ids: readonly string[]): string[] => [...new Set(ids)];
