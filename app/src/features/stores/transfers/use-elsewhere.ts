import { useMemo } from 'react';
import { byId, type PartId, type StoreId, type Thousandths } from '@oilcan/core/kernel';
import type { Store } from '@oilcan/core/stores/stock';
import { useRow, useRows, useTable } from '../../../data/store/store';

/** A store that has some of a part. */
export interface HasSome {
  readonly store: Store;
  readonly onHand: Thousandths;
  /** The name of its site, where that is another; null for the same. */
  readonly site: string | null;
}

/** Which other stores have a part, by the books of this phone: those of the same site first, of these the fullest. */
export function useElsewhere(partId: PartId | undefined, storeId: StoreId | undefined): readonly HasSome[] {
  const levels = useRows('stock', 'part', partId);
  const bins = useTable('bins');
  const stores = useTable('stores');
  const sites = useTable('sites');
  const here = useRow('stores', storeId);
  return useMemo(() => {
    const binOf = byId(bins);
    const onHand = new Map<string, Thousandths>();
    for (const { binId, onHand: there } of levels) {
      const id = binOf.get(binId)?.storeId;
      if (id !== undefined) onHand.set(id, (onHand.get(id) ?? 0) + there);
    }
    const isNear = ({ siteId }: Store): number => Number(siteId === here?.siteId);
    return stores
      .filter(({ id, ownerId }) => id !== storeId && ownerId === undefined && (onHand.get(id) ?? 0) > 0)
      .sort((a, b) => isNear(b) - isNear(a) || (onHand.get(b.id) ?? 0) - (onHand.get(a.id) ?? 0))
      .map((store) => ({
        store,
        onHand: onHand.get(store.id) ?? 0,
        site:
          store.siteId === here?.siteId ? null : (sites.find(({ id }) => id === store.siteId)?.name ?? 'another site'),
      }));
  }, [levels, bins, stores, sites, here, storeId]);
}
