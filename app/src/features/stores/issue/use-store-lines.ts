import { useMemo } from 'react';
import { byId } from '@oilcan/core/kernel';
import { storeList, type StoreLine } from '@oilcan/core/stores/issue';
import { useTable } from '../../../data/store/store';
import { useNow } from '../../../data/store/use-now';
import { onSite, useSite } from '../../frame/page/use-site';

/** What waits for whoever hands out in the stores of the site that is looked at. */
export function useStoreLines(): readonly StoreLine[] {
  const site = useSite();
  const all = useTable('requests');
  const bins = useTable('bins');
  const stores = useTable('stores');
  const levels = useTable('stock');
  const now = useNow(60);
  return useMemo(
    () => storeList(onSite(all, site), { bins: byId(bins), stores: byId(stores), levels }, now),
    [all, site, bins, stores, levels, now],
  );
}
