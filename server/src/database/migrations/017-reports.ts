import { randomBytes } from 'node:crypto';
import type { Knex } from 'knex';
import { createRowTables } from './row-tables';

/** Reports, incidents, the labels by which everybody may report, and how sites take them. */
export const reports = {
  name: '017-reports',
  up: async (database: Knex): Promise<void> => {
    await createRowTables(database, {
      reports: ['site', 'asset', 'place', 'work', 'number', 'ended'],
      incidents: ['number'],
      report_labels: ['site', 'asset', 'place'],
      raise_rules: ['site'],
    });
    await database.schema.alterTable('reports', (table) => void table.text('files').nullable());
    await database.schema.alterTable('incidents', (table) => {
      table.text('files').nullable();
      table.text('readers').nullable();
    });
    // What somebody without an account sent, by the name that their browser gave it: sent twice, it is there once.
    await database.schema.createTable('guest_posts', (table) => {
      table.string('id', 64).primary();
      table.string('report', 64).notNullable();
    });
    await database.schema.createTable('guest_mail_queue', (table) => {
      table.string('id', 64).primary();
      table.string('report', 64).notNullable();
      table.string('event', 160).notNullable();
      table.integer('tries').notNullable().defaultTo(0);
      table.string('next_try_at', 40).nullable();
      table.string('put_aside_at', 40).nullable();
    });
    // Private links of reporters are signed with it, so that none of them is kept.
    await database.schema.createTable('guest_secret', (table) => {
      table.integer('id').primary();
      table.string('secret', 64).notNullable();
    });
    await database('guest_secret').insert({ id: 1, secret: randomBytes(32).toString('hex') });
  },
};
