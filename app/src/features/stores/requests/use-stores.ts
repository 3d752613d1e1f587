import { useMemo } from 'react';
import type { PartId, SiteId, Thousandths } from '@oilcan/core/kernel';
import type { Store } from '@oilcan/core/stores/stock';
import { useRows, useTable } from '../../../data/store/store';

/** What a store has of a part in all its bins. */
export interface StoreWithStock {
  readonly store: Store;
  readonly onHand: Thousandths;
}

/** The stores in which somebody hands out: those of the site first, of these the one that has most of the part. */
export function useAttendedStores(siteId: SiteId | undefined, partId: PartId | undefined): readonly StoreWithStock[] {
  const stores = useTable('stores');
  const bins = useTable('bins');
  const levels = useRows('stock', 'part', partId);
  return useMemo(() => {
    const storeOf = new Map(levels.length === 0 ? [] : bins.map(({ id, storeId }) => [id, storeId]));
    const onHandIn = ({ id }: Store): Thousandths =>
      levels.reduce((sum, level) => (storeOf.get(level.binId) === id ? sum + level.onHand : sum), 0);
    const isNear = ({ siteId: of }: Store): number => Number(of === siteId);
    return stores
      .filter(({ isAttended }) => isAttended === true)
      .map((store) => ({ store, onHand: onHandIn(store) }))
      .sort((a, b) => isNear(b.store) - isNear(a.store) || b.onHand - a.onHand);
  }, [stores, bins, levels, siteId]);
}
