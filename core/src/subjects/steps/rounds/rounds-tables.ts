import { ofWork, type TablesNamed } from '../../../records/table';
import type { Stop } from './stop';

declare module '../../../records/table' {
  interface TableTypes {
    stops: { row: Stop; index: 'site' | 'workOrder' };
  }
}

export const roundsTables: TablesNamed<'stops'> = {
  stops: {
    ...ofWork,
    since: 9,
    indexes: { site: (row) => row.siteId, workOrder: (row) => row.workOrderId },
  },
};
