import { ofSite, type TablesNamed } from '../../records/table';
import type { Code } from './label';

declare module '../../records/table' {
  interface TableTypes {
    codes: { row: Code; index: 'site' | 'asset' };
  }
}

export const labelsTables: TablesNamed<'codes'> = {
  codes: {
    ...ofSite,
    indexes: { site: (row) => row.siteId, asset: (row) => row.assetId },
    upgrades: [{ to: 5, change: (row) => ({ previous: [], ...row }) }],
  },
};
