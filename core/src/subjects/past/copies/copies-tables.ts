import { ofWork, type TablesNamed } from '../../../records/table';
import type { RecordCopy } from './copy';

declare module '../../../records/table' {
  interface TableTypes {
    copies: { row: RecordCopy; index: 'site' | 'workOrder' };
  }
}

export const copiesTables: TablesNamed<'copies'> = {
  copies: { ...ofWork, since: 13, indexes: { site: (row) => row.siteId, workOrder: (row) => row.workOrderId } },
};
