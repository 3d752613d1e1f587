import type { Asset } from '@oilcan/core/plant/plant';
import { peekAll } from '../store/store';
import { findByCode, type Found } from './find-by-code';

/** What on this phone has a code; null for nothing. */
export function foundOnPhone(code: string): Found | null {
  return findByCode(code, {
    codes: peekAll('codes'),
    reportLabels: peekAll('reportLabels'),
    assets: peekAll('assets'),
    places: peekAll('places'),
    works: peekAll('workOrders'),
    parts: peekAll('parts'),
    bins: peekAll('bins'),
    stores: peekAll('stores'),
  });
}

/** The machine on this phone that has a code; null for none. */
export function codedAsset(code: string): Asset | null {
  const found = foundOnPhone(code);
  return found?.is === 'asset' ? found.asset : null;
}
