import { ofWork, type TablesNamed } from '../../../records/table';
import type { Share } from './share';

declare module '../../../records/table' {
  interface TableTypes {
    shares: { row: Share; index: 'site' | 'workOrder' };
  }
}

export const sharesTables: TablesNamed<'shares'> = {
  shares: {
    ...ofWork,
    since: 10,
    indexes: { site: (row) => row.siteId, workOrder: (row) => row.workOrderId },
  },
};
