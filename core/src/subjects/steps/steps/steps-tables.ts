import { ofWork, type TablesNamed } from '../../../records/table';
import type { Step } from './step';
import { stepUpgrades } from './upgrades';

declare module '../../../records/table' {
  interface TableTypes {
    steps: { row: Step; index: 'site' | 'workOrder' };
  }
}

export const stepsTables: TablesNamed<'steps'> = {
  steps: {
    ...ofWork,
    indexes: { site: (row) => row.siteId, workOrder: (row) => row.workOrderId },
    upgrades: stepUpgrades,
  },
};
