import { keyOfList, ofSite, type TablesNamed } from '../../../records/table';
import { carriedSince } from '../../orders/work/carried';
import { filesOf, type Report } from './report';

declare module '../../../records/table' {
  interface TableTypes {
    reports: { row: Report; index: 'site' | 'asset' | 'place' | 'work' | 'number' | 'ended' | 'files' };
  }
}

/** Reports that ended stay on the phones for so many days. */
const REPORTS_CARRIED_DAYS = 30;

export const reportsTables: TablesNamed<'reports'> = {
  reports: {
    ...ofSite,
    since: 14,
    indexes: {
      site: (row) => row.siteId,
      asset: (row) => row.assetId,
      place: (row) => row.placeId,
      work: (row) => row.workOrderId,
      number: (row) => row.number,
      ended: (row) => row.endedAt,
      /** Whoever may see the report may see them. */
      files: (row) => keyOfList(filesOf(row)),
    },
    replicated: { daysAfterEnd: REPORTS_CARRIED_DAYS },
    isExpired: (row, now) => row.endedAt !== null && row.endedAt <= carriedSince(now, REPORTS_CARRIED_DAYS),
  },
};
