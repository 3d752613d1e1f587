import { ofSite, type TablesNamed } from '../../../records/table';
import type { Code } from './label';
import type { ReportLabel } from './report-label';

declare module '../../../records/table' {
  interface TableTypes {
    codes: { row: Code; index: 'site' | 'asset' };
    reportLabels: { row: ReportLabel; index: 'site' | 'asset' | 'place' };
  }
}

export const labelsTables: TablesNamed<'codes' | 'reportLabels'> = {
  codes: {
    ...ofSite,
    indexes: { site: (row) => row.siteId, asset: (row) => row.assetId },
    upgrades: [{ to: 5, change: (row) => ({ previous: [], ...row }) }],
  },
  reportLabels: {
    ...ofSite,
    since: 14,
    indexes: { site: (row) => row.siteId, asset: (row) => row.assetId, place: (row) => row.placeId },
  },
};
