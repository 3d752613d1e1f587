import { ofSite, type TablesNamed } from '../../../records/table';
import type { RaiseRules } from './raise-rules';

declare module '../../../records/table' {
  interface TableTypes {
    raiseRules: { row: RaiseRules; index: 'site' };
  }
}

export const raiseRulesTables: TablesNamed<'raiseRules'> = {
  raiseRules: { ...ofSite, since: 14, indexes: { site: (row) => row.siteId } },
};
