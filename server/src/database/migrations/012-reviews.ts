import type { Knex } from 'knex';
import { createRowTables } from './row-tables';

/** What leads look at finished work by. */
export const reviews = {
  name: '012-reviews',
  up: (database: Knex): Promise<void> => createRowTables(database, { reviews: ['readers', 'site'] }),
};
