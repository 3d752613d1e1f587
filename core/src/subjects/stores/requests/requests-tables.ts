import { keyOfList, ofSite, type TablesNamed } from '../../../records/table';
import { carriedSince } from '../../orders/work/carried';
import type { StoreRequest } from './request';

declare module '../../../records/table' {
  interface TableTypes {
    requests: { row: StoreRequest; index: 'site' | 'store' | 'work' | 'ended' | 'files' };
  }
}

/** Requests that ended stay on the phones for so many days: what was not used comes back by them. */
const REQUESTS_CARRIED_DAYS = 14;

export const requestsTables: TablesNamed<'requests'> = {
  requests: {
    ...ofSite,
    since: 18,
    indexes: {
      site: (row) => row.siteId,
      store: (row) => row.storeId,
      work: (row) => row.workOrderId,
      ended: (row) => row.endedAt,
      /** Whoever may see the request may see it. */
      files: (row) => (row.photo === null ? null : keyOfList([row.photo.fileId])),
    },
    replicated: { daysAfterEnd: REQUESTS_CARRIED_DAYS },
    isExpired: (row, now) => row.endedAt !== null && row.endedAt <= carriedSince(now, REQUESTS_CARRIED_DAYS),
  },
};
