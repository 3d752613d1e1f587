import type { Knex } from 'knex';

/** Work that ended, summarised to what its past is asked for. It is derived, and filled when the database is opened. */
export const past = {
  name: '003-past',
  up: (database: Knex): Promise<void> =>
    database.schema.createTable('past_jobs', (table) => {
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
    }),
};
