import { ofWork, type TablesNamed } from '../../../records/table';
import type { Permit } from './permit';

declare module '../../../records/table' {
  interface TableTypes {
    permits: { row: Permit; index: 'site' | 'workOrder' };
  }
}

export const permitsTables: TablesNamed<'permits'> = {
  permits: { ...ofWork, indexes: { site: (row) => row.siteId, workOrder: (row) => row.workOrderId } },
};
