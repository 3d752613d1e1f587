import { ofSite, type TablesNamed } from '../../../records/table';
import type { Plan } from './plan';

declare module '../../../records/table' {
  interface TableTypes {
    plans: { row: Plan; index: 'site' | 'asset' };
  }
}

export const plansTables: TablesNamed<'plans'> = {
  plans: { ...ofSite, since: 13, indexes: { site: (row) => row.siteId, asset: (row) => row.assetId } },
};
