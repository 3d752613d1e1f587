import { keyOfList, ofSite, type TablesNamed } from '../../records/table';
import { filesOfIncident, type Incident } from './incident';

declare module '../../records/table' {
  interface TableTypes {
    incidents: { row: Incident; index: 'readers' | 'number' | 'files' };
  }
}

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
  },
};
