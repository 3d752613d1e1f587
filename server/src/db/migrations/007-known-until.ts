import type { Knex } from 'knex';

/** Until when somebody could know of others has the name that operations have for it. */
export const knownUntil = {
  name: '007-known-until',
  up: (database: Knex): Promise<void> =>
    database.schema.alterTable('operations', (table) => {
      table.renameColumn('knew', 'known_until');
    }),
};
