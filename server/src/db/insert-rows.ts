import type { Knex } from 'knex';

/** Rows in one statement; keeps the number of bound values well under every database's limit. */
const ROWS_PER_STATEMENT = 200;

const texts = new Map<string, string>();

/**
 * Writes many rows with few statements, in SQL that SQLite shares with others. The text of a statement depends only on
 * its shape and is put together once: building it anew would cost more than carrying it out.
 *
 * @param replaceBy the column by which a row takes the place of an earlier one; null when there is none
 */
export async function insertRows(
  transaction: Knex,
  table: string,
  columns: readonly string[],
  rows: readonly (readonly Knex.RawBinding[])[],
  replaceBy: string | null,
): Promise<void> {
  for (let start = 0; start < rows.length; start += ROWS_PER_STATEMENT) {
    const some = rows.slice(start, start + ROWS_PER_STATEMENT);
    await transaction.raw(textFor(table, columns, some.length, replaceBy), some.flat());
  }
}

function textFor(table: string, columns: readonly string[], rows: number, replaceBy: string | null): string {
  const shape = `${table} ${columns.join()} ${rows} ${replaceBy}`;
  const known = texts.get(shape);
  if (known !== undefined) return known;
  const row = `(${columns.map(() => '?').join(', ')})`;
  const others = columns.filter((column) => column !== replaceBy).map((column) => `${column} = excluded.${column}`);
  const text = [
    `INSERT INTO ${table} (${columns.join(', ')}) VALUES ${Array.from({ length: rows }, () => row).join(', ')}`,
    ...(replaceBy === null ? [] : [`ON CONFLICT (${replaceBy}) DO UPDATE SET ${others.join(', ')}`]),
  ].join(' ');
  texts.set(shape, text);
  return text;
}
