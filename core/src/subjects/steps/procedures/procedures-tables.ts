import { ofSite, type TablesNamed } from '../../../records/table';
import type { Procedure } from './procedure';

declare module '../../../records/table' {
  interface TableTypes {
    procedures: { row: Procedure; index: 'site' };
  }
}

export const proceduresTables: TablesNamed<'procedures'> = {
  procedures: { ...ofSite, since: 9, indexes: { site: (row) => row.siteId } },
};
