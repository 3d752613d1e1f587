import type { Knex } from 'knex';
import { createRowTables } from './row-tables';

/** Shares: steps of a work order that are somebody's own. */
export const shares = {
  name: '009-shares',
  up: (database: Knex): Promise<void> => createRowTables(database, { shares: ['site', 'work_order'] }),
};
