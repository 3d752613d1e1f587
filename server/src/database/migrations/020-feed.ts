import type { Knex } from 'knex';

/**
 * Whom what was written concerns, in the order in which it was. `removals` becomes a part of it; to whom work is given is noted as who carries
 * what is recorded on it. The lines of the rows that are there are added once the rows have the shape of today (`feed/fill-feed.ts`).
 */
export const feed = {
  name: '020-feed',
  up: async (database: Knex): Promise<void> => {
    await database.schema.createTable('feed', (table) => {
      table.string('audience', 340).notNullable();
      table.bigInteger('revision').notNullable();
      table.string('table_name', 64).notNullable();
      table.string('id', 160).notNullable();
      table.smallint('is_gone').notNullable();
      table.primary(['audience', 'revision', 'table_name', 'id'], 'feed_of_audience');
    });
    await database.schema.createTable('feed_floors', (table) => {
      table.string('audience', 340).primary();
      table.bigInteger('revision').notNullable();
    });
    await database.schema.createTable('work_audiences', (table) => {
      table.string('work_order', 160).notNullable();
      table.string('audience', 340).notNullable().index('work_audiences_by_audience');
      table.primary(['work_order', 'audience'], 'audiences_of_work');
    });
    await database.raw(
      `INSERT INTO feed (audience, revision, table_name, id, is_gone)
       SELECT audience, revision, table_name, id, 1 FROM removals`,
    );
    await database.schema.dropTable('removals');
    await database.schema.dropTable('assignments');
    // Where several servers use the database, they count together how often somebody may do something.
    await database.schema.createTable('limits', (table) => {
      table.string('key', 255).primary();
      table.integer('points').notNullable().defaultTo(0);
      table.bigInteger('expire').nullable();
    });
    await database.schema.createTable('feed_days', (table) => {
      table.string('day', 10).primary();
      table.bigInteger('revision').notNullable();
    });
    await database('counters').insert([
      { name: 'scopes', value: 0 },
      { name: 'retention_began', value: 0 },
    ]);
    await database.schema.alterTable('early_operations', (table) => {
      table.string('seen_on', 10).nullable();
    });
    await database.schema.alterTable('operations', (table) => {
      table.index('received_at');
      table.bigInteger('seen_revision').nullable();
    });
  },
};
