import type { Knex } from 'knex';
import { createRowTables } from './row-tables';

/** Reusable steps. */
export const procedures = {
  name: '008-procedures',
  up: (database: Knex): Promise<void> => createRowTables(database, { procedures: ['site'] }),
};
