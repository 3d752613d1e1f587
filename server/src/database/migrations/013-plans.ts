import type { Knex } from 'knex';
import { createRowTables } from './row-tables';

/** What makes preventive work due. */
export const plans = {
  name: '013-plans',
  up: (database: Knex): Promise<void> => createRowTables(database, { plans: ['site', 'asset'] }),
};
