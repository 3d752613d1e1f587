import type { Knex } from 'knex';
import { notePast } from '../../past/note-past';
import { workOrdersInBatches } from './work-orders-in-batches';

/** Work that ended, boiled down to what its past is asked for; derived from work orders and entries. */
export const past = {
  name: '003-past',
  up: async (database: Knex): Promise<void> => {
    await database.schema.createTable('past_jobs', (table) => {
      table.string('id', 160).primary();
      table.string('site', 160).notNullable();
      table.string('asset', 160).notNullable();
      table.string('place', 160).notNullable();
      table.string('class', 160).notNullable();
      table.string('at', 40).notNullable();
      table.text('body').notNullable();
      table.index(['asset', 'at']);
      table.index(['place', 'at']);
      table.index(['site', 'at']);
      table.index(['class', 'at']);
    });
    for await (const works of workOrdersInBatches(database))
      await notePast(database, new Set(works.map(({ id }) => id)));
  },
};
