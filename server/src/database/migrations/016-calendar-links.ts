import type { Knex } from 'knex';

/** Private links to what is due of a person, of which only a digest is kept. */
export const calendarLinks = {
  name: '016-calendar-links',
  up: (database: Knex): Promise<void> =>
    database.schema.createTable('calendar_links', (table) => {
      table.string('token_hash', 64).primary();
      table.string('person', 64).notNullable().unique();
      table.string('made_at', 40).notNullable();
      table.string('read_at', 40).nullable();
    }),
};
