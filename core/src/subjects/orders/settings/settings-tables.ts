import { ofSite, type TablesNamed } from '../../../records/table';
import { listOfFields } from '../../../records/upgrade';
import type { Rate, Settings } from './settings';

declare module '../../../records/table' {
  interface TableTypes {
    settings: { row: Settings; index: never };
    rates: { row: Rate; index: 'site' };
  }
}

export const settingsTables: TablesNamed<'settings' | 'rates'> = {
  settings: {
    ...ofSite,
    indexes: {},
    seenBy: 'everybody',
    upgrades: [
      {
        to: 5,
        // What people cost is not for everybody any more: the rates left for a table of their own.
        change: ({ crafts, overtimePercent: _, ...row }) => ({
          ...row,
          trades: listOfFields(crafts).map(({ id, name }) => ({ id, name })),
          laborCostSeenBy: ['lead'],
        }),
      },
    ],
  },
  rates: { ...ofSite, indexes: { site: (row) => row.siteId }, confidential: 'laborCost' },
};
