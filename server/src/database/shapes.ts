import { tablesToUpgrade, upgraded, type Fields, type Row, type TableName } from '@oilcan/core/records';
import { SHAPE_VERSION, tableNamed, tables } from '@oilcan/core/registry';
import type { Knex } from 'knex';
import { rowsInBatches } from './migrations/rows-in-batches';
import { sqlName } from './sql-names';

/** The shapes that the rows had before their version was noted. */
const FIRST_NOTED = 5;
const COUNTER = 'shape_version';

/**
 * Rows that an older Oilcan wrote get the shape of today, by the same functions by which phones do it for theirs: so nothing
 * need be sent again.
 */
export async function bringShapesUpToDate(database: Knex): Promise<void> {
  const noted: { value: number | string } | undefined = await database('counters').where('name', COUNTER).first();
  const from = Number(noted?.value ?? FIRST_NOTED);
  if (from === SHAPE_VERSION) return;
  await database.transaction(async (transaction) => {
    for (const table of tablesToUpgrade(tables, from)) await bringTableUpToDate(transaction, table, from);
    await transaction('counters').insert({ name: COUNTER, value: SHAPE_VERSION }).onConflict('name').merge();
  });
}

async function bringTableUpToDate(transaction: Knex, table: TableName, from: number): Promise<void> {
  const { upgrades, indexes } = tableNamed(table);
  for await (const rows of rowsInBatches(transaction, sqlName(table))) {
    for (const { id, body } of rows) {
      const row = upgraded(upgrades, JSON.parse(body) as Fields, from);
      const written = JSON.stringify(row);
      if (written === body) continue;
      const columns = Object.entries(indexes).map(([index, keyOf]) => [sqlName(index), keyOf(row as unknown as Row)]);
      await transaction(sqlName(table))
        .where('id', id)
        .update({ body: written, ...Object.fromEntries(columns) });
    }
  }
}
