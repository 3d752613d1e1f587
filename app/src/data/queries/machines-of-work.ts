import { useMemo } from 'react';
import type { AssetId } from '@oilcan/core/kernel';
import type { Asset } from '@oilcan/core/plant/plant';
import type { WorkOrder } from '@oilcan/core/orders/work';
import { useRow, useRows, useTable } from '../store/store';

/** A machine, then those that are part of it. */
export function useMachineAndPieces(assetId: AssetId): Asset[] {
  const asset = useRow('assets', assetId);
  const pieces = useRows('assets', 'parent', assetId);
  return useMemo(() => (asset === undefined ? [...pieces] : [asset, ...pieces]), [asset, pieces]);
}

/** The machine of a job first, then those that are part of it, and those at the stops of a round. */
export function useMachinesOf(work: Pick<WorkOrder, 'id' | 'assetId'>): Asset[] {
  const assets = useTable('assets');
  const stops = useRows('stops', 'workOrder', work.id);
  return useMemo(() => {
    const atStops = new Set(stops.map(({ assetId }) => assetId));
    const isOne = ({ id, parentId }: Asset): boolean =>
      id === work.assetId || parentId === work.assetId || atStops.has(id);
    return assets.filter(isOne).sort((a, b) => (a.id === work.assetId ? -1 : b.id === work.assetId ? 1 : 0));
  }, [assets, stops, work.assetId]);
}
