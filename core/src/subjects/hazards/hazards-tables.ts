import { ofWork, type TablesNamed } from '../../records/table';
import type { Acknowledgement } from './acknowledgement';

declare module '../../records/table' {
  interface TableTypes {
    acknowledgements: { row: Acknowledgement; index: 'site' | 'workOrder' };
  }
}

export const hazardsTables: TablesNamed<'acknowledgements'> = {
  acknowledgements: { ...ofWork, indexes: { site: (row) => row.siteId, workOrder: (row) => row.workOrderId } },
};
