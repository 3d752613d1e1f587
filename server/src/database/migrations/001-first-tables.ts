import { randomUUID } from 'node:crypto';
import type { Knex } from 'knex';
import { createRowTables } from './row-tables';

/** Tables of rows, each with the columns by which its rows are listed. */
const rowTables: Readonly<Record<string, readonly string[]>> = {
  settings: [],
  sites: [],
  people: [],
  crews: [],
  places: ['site'],
  assets: ['site', 'parent'],
  points: ['site', 'asset'],
  parts: [],
  stores: ['site'],
  bins: ['site'],
  stock: ['part'],
  movements: ['level', 'work_order'],
  work_orders: ['site', 'asset', 'ended'],
  steps: ['site', 'work_order'],
  entries: ['site', 'work_order', 'asset', 'amends'],
  acknowledgements: ['site', 'work_order'],
  clocks: ['site', 'work_order'],
};

export const firstTables = {
  name: '001-first-tables',
  up: async (database: Knex): Promise<void> => {
    await createRowTables(database, rowTables);
    await database.schema.createTable('removals', (table) => {
      table.string('table_name', 64).notNullable();
      table.string('id', 160).notNullable();
      table.string('site', 160).nullable();
      table.bigInteger('revision').notNullable().index();
      table.primary(['table_name', 'id']);
    });
    await database.schema.createTable('operations', (table) => {
      table.string('id', 64).primary();
      table.string('name', 64).notNullable();
      table.string('by_person', 64).notNullable().index();
      table.string('device', 64).notNullable();
      table.string('at', 40).notNullable();
      table.string('received_at', 40).notNullable();
      table.text('args').notNullable();
      table.text('outcome').notNullable();
      table.bigInteger('revision').notNullable();
    });
    await database.schema.createTable('counters', (table) => {
      table.string('name', 64).primary();
      table.bigInteger('value').notNullable();
    });
    await database('counters').insert({ name: 'revision', value: 0 });
    await database.schema.createTable('identity', (table) => {
      table.string('id', 64).primary();
    });
    await database('identity').insert({ id: randomUUID() });
    await database.schema.createTable('accounts', (table) => {
      table.string('person', 64).primary();
      table.string('sign_in_name', 120).notNullable().unique();
      table.text('password_hash').notNullable();
    });
    await database.schema.createTable('sessions', (table) => {
      table.string('token_hash', 64).primary();
      table.string('person', 64).notNullable().index();
      table.string('created_at', 40).notNullable();
      table.string('expires_at', 40).notNullable().index();
    });
  },
};
