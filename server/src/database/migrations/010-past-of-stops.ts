import type { Knex } from 'knex';

/** A round has a past at each of its stops: which work order one is of. It is derived, and filled when the database is opened. */
export const pastOfStops = {
  name: '010-past-of-stops',
  up: async (database: Knex): Promise<void> => {
    await database('past_jobs').delete();
    await database.schema.alterTable('past_jobs', (table) => {
      table.string('work_order', 160).notNullable().defaultTo('');
      table.index(['work_order']);
    });
  },
};
