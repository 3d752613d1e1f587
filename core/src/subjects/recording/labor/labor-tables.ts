import { ofSite, type TablesNamed } from '../../../records/table';
import { carriedSince } from '../../orders/work/carried';
import type { Clock } from './clock';
import type { OtherTime } from './other-time';

declare module '../../../records/table' {
  interface TableTypes {
    clocks: { row: Clock; index: 'site' | 'workOrder' };
    otherTimes: { row: OtherTime; index: 'person' };
  }
}

/** As long as times may be recorded afterwards. */
const TIMES_CARRIED_DAYS = 366;

export const laborTables: TablesNamed<'clocks' | 'otherTimes'> = {
  clocks: { ...ofSite, indexes: { site: (row) => row.siteId, workOrder: (row) => row.workOrderId } },
  // How somebody spends the day beside their work is theirs.
  otherTimes: {
    ...ofSite,
    since: 11,
    seenBy: 'own',
    audienceIsFixed: true,
    indexes: { person: (row) => row.personId },
    isExpired: (row, now) => row.startedAt <= carriedSince(now, TIMES_CARRIED_DAYS),
  },
};
