import type { Knex } from 'knex';

/** What a device knew when it made an operation, and the files that entries name. */
export const filesAndDeviceClocks = {
  name: '002-files-and-device-clocks',
  up: async (database: Knex): Promise<void> => {
    await database.schema.alterTable('operations', (table) => {
      table.bigInteger('ahead').notNullable().defaultTo(0);
      table.string('knew', 40).nullable();
    });
    // Operations as they came from the future: their devices stamp them anew, and a late copy is not to be judged.
    await database.schema.createTable('early_operations', (table) => {
      table.string('id', 64).notNullable();
      table.bigInteger('ahead').notNullable();
      table.primary(['id', 'ahead']);
    });
    await database.schema.alterTable('entries', (table) => {
      table.string('file', 64).nullable().index();
    });
    await database.schema.createTable('files', (table) => {
      table.string('id', 64).primary();
      table.string('media_type', 64).notNullable();
      table.integer('bytes').notNullable();
      table.string('by_person', 64).notNullable();
      table.string('received_at', 40).notNullable();
    });
  },
};
