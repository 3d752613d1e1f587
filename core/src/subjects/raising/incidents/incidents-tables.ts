import { keyOfList, ofSite, type TablesNamed } from '../../../records/table';
import { carriedSince } from '../../orders/work/carried';
import { filesOfIncident, type Incident } from './incident';

declare module '../../../records/table' {
  interface TableTypes {
    incidents: { row: Incident; index: 'readers' | 'number' | 'files' };
  }
}

/** Closed incidents stay on the phones of their readers for so many days. */
const CLOSED_CARRIED_DAYS = 731;

export const incidentsTables: TablesNamed<'incidents'> = {
  incidents: {
    ...ofSite,
    since: 14,
    indexes: {
      readers: (row) => keyOfList(row.readerIds),
      number: (row) => row.number,
      /** Whoever may see the incident may see them. */
      files: (row) => keyOfList(filesOfIncident(row)),
    },
    seenBy: 'given',
    isExpired: ({ closed }, now) => closed !== null && closed.at <= carriedSince(now, CLOSED_CARRIED_DAYS),
  },
};
