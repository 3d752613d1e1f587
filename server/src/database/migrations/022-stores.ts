import type { Knex } from 'knex';
import { createRowTables } from './row-tables';

/** What is asked of stores, what is on the way between them, and what was counted in them. */
export const stores = {
  name: '022-stores',
  up: async (database: Knex): Promise<void> => {
    await createRowTables(database, {
      requests: ['site', 'store', 'work', 'ended', 'files'],
      transfers: ['sites', 'work', 'ended'],
      counts: ['site', 'store', 'ended'],
    });
  },
};
