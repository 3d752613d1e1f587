import type { Knex } from 'knex';
import { createRowTables } from './row-tables';

/** Records that were sent by mail, and those that are still to be carried away. */
export const copies = {
  name: '015-copies',
  up: async (database: Knex): Promise<void> => {
    await createRowTables(database, { copies: ['site', 'work_order'] });
    await database.schema.createTable('copy_queue', (table) => {
      table.string('id', 64).primary();
      table.integer('tries').notNullable().defaultTo(0);
      table.string('next_try_at', 40).nullable();
      table.string('put_aside_at', 40).nullable();
    });
  },
};
