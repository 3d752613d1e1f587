import { ofSite, type TablesNamed } from '../../records/table';
import type { Clock } from './clock';

declare module '../../records/table' {
  interface TableTypes {
    clocks: { row: Clock; index: 'site' | 'workOrder' };
  }
}

export const laborTables: TablesNamed<'clocks'> = {
  clocks: { ...ofSite, indexes: { site: (row) => row.siteId, workOrder: (row) => row.workOrderId } },
};
