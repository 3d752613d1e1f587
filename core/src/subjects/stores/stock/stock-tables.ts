import { ofSite, type TablesNamed } from '../../../records/table';
import type { SitePrice } from './prices';
import type { Bin, Movement, Part, StockLevel, Store } from './stock';

declare module '../../../records/table' {
  interface TableTypes {
    parts: { row: Part; index: never };
    stores: { row: Store; index: 'site' };
    bins: { row: Bin; index: 'site' };
    stock: { row: StockLevel; index: 'site' | 'part' };
    movements: { row: Movement; index: 'level' | 'workOrder' };
    sitePrices: { row: SitePrice; index: 'site' | 'part' };
  }
}

export const stockTables: TablesNamed<'parts' | 'stores' | 'bins' | 'stock' | 'movements' | 'sitePrices'> = {
  // The catalogue of the whole organization, with prices: kits, other stores and successors name parts of any site.
  parts: { ...ofSite, indexes: {}, seenBy: 'everybody' },
  stores: { ...ofSite, indexes: { site: (row) => row.siteId } },
  bins: { ...ofSite, indexes: { site: (row) => row.siteId } },
  stock: {
    ...ofSite,
    indexes: { site: (row) => row.siteId, part: (row) => row.partId },
    // Of what came before, the site is not known here: the right row comes with the next pull.
    upgrades: [{ to: 5, change: (row) => ({ siteId: '', ...row }) }],
  },
  sitePrices: { ...ofSite, since: 15, indexes: { site: (row) => row.siteId, part: (row) => row.partId } },
  // What is behind a stock level is asked for when somebody looks; no route answers it yet.
  movements: {
    ...ofSite,
    indexes: { level: (row) => `${row.partId}@${row.binId}`, workOrder: (row) => row.workOrderId },
    seenBy: 'nobody',
    audienceIsFixed: true,
    replicated: 'never',
  },
};
