import { ofSite, type TablesNamed } from '../../../records/table';
import { carriedSince } from '../../orders/work/carried';
import type { Count } from './count';

declare module '../../../records/table' {
  interface TableTypes {
    counts: { row: Count; index: 'site' | 'store' | 'ended' };
  }
}

/** Counts that were settled stay on the phones for so many days. */
const COUNTS_CARRIED_DAYS = 14;

export const countsTables: TablesNamed<'counts'> = {
  counts: {
    ...ofSite,
    since: 18,
    indexes: { site: (row) => row.siteId, store: (row) => row.storeId, ended: (row) => row.endedAt },
    replicated: { daysAfterEnd: COUNTS_CARRIED_DAYS },
    isExpired: (row, now) => row.endedAt !== null && row.endedAt <= carriedSince(now, COUNTS_CARRIED_DAYS),
  },
};
