import type { MeasuringPoint } from '@oilcan/core/plant/plant';
import type { WorkOrder } from '@oilcan/core/orders/work';
import { useMemo } from 'react';
import { useRow, useRows, useTable } from '../store/store';

/** The points of the machine of a job, else of what it is made of, else of what it is part of. */
export function usePointsNear(work: WorkOrder): readonly MeasuringPoint[] {
  const asset = useRow('assets', work.assetId);
  const own = useRows('points', 'asset', work.assetId);
  const ofWhole = useRows('points', 'asset', asset?.parentId ?? undefined);
  const all = useTable('points');
  const pieces = useRows('assets', 'parent', work.assetId);
  return useMemo(() => {
    if (own.length > 0) return own;
    const pieceIds = new Set(pieces.map((piece) => piece.id));
    const ofPieces = all.filter((point) => pieceIds.has(point.assetId));
    return ofPieces.length > 0 ? ofPieces : ofWhole;
  }, [own, ofWhole, all, pieces]);
}
