import type { Knex } from 'knex';

/** Creates tables of rows, each with the columns by which its rows are listed. */
export async function createRowTables(
  database: Knex,
  tables: Readonly<Record<string, readonly string[]>>,
): Promise<void> {
  for (const [name, keys] of Object.entries(tables)) {
    await database.schema.createTable(name, (table) => {
      table.string('id', 160).primary();
      table.bigInteger('revision').notNullable().index();
      for (const key of keys) table.string(key, 160).nullable().index();
      table.text('body').notNullable();
    });
  }
}
