import type { SiteId } from '../../../kernel/ids';
import type { Records } from '../../../records/records';
import { averageAfterReceipt, type Priced } from './moving-average';
import { currenciesAt, sitePriceId, unitPriceAt } from './prices';
import type { Part } from './stock';

/**
 * What a part costs on a site after some of it came in at a price, in the currency of the site: the average of what was there and what
 * came. Told before the stock moves. What it costs elsewhere stays as it is.
 */
export async function takeInAtPrice(records: Records, part: Part, siteId: SiteId, came: Priced): Promise<void> {
  const levels = await records.list('stock', 'part', part.id);
  const onHand = levels.reduce((sum, level) => (level.siteId === siteId ? sum + level.onHand : sum), 0);
  const before = await unitPriceAt(records, part, siteId);
  const currencies = await currenciesAt(records, siteId);
  // What is there was bought in another currency: no average can be made of the two.
  const counts = before !== null && before.currency === currencies?.ofSite;
  const priceMinor = averageAfterReceipt({ quantity: counts ? onHand : 0, priceMinor: before?.minor ?? 0 }, came);
  await records.put('sitePrices', { id: sitePriceId(siteId, part.id), siteId, partId: part.id, priceMinor });
}
