import { keyOfList, ofSite, type TablesNamed } from '../../../records/table';
import { carriedSince } from '../../orders/work/carried';
import type { Transfer } from './transfer';

declare module '../../../records/table' {
  interface TableTypes {
    transfers: { row: Transfer; index: 'sites' | 'work' | 'ended' };
  }
}

/** Transfers that ended stay on the phones for so many days. */
const TRANSFERS_CARRIED_DAYS = 14;

export const transfersTables: TablesNamed<'transfers'> = {
  transfers: {
    ...ofSite,
    since: 18,
    indexes: {
      /** Both sites see it. */
      sites: (row) => keyOfList([...new Set([row.fromSiteId, row.toSiteId])]),
      work: (row) => row.workOrderId,
      ended: (row) => row.endedAt,
    },
    replicated: { daysAfterEnd: TRANSFERS_CARRIED_DAYS },
    isExpired: (row, now) => row.endedAt !== null && row.endedAt <= carriedSince(now, TRANSFERS_CARRIED_DAYS),
  },
};
