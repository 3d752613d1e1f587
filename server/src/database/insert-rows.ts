import { places, type Run, type Value } from './statements';

/** Rows in one statement at most; keeps the number of values well under every database's limit. */
const MOST_ROWS = 64;

const texts = new Map<string, string>();

/**
 * Writes many rows with few statements, in SQL that SQLite shares with others. Each statement takes a power of two of rows,
 * so that few texts stand for every number of them, and each is put together and prepared once.
 *
 * @param replaceBy the column by which a row takes the place of an earlier one; null when there is none
 */
export async function insertRows(
  run: Run,
  table: string,
  columns: readonly string[],
  rows: readonly (readonly Value[])[],
  replaceBy: string | null,
): Promise<void> {
  for (let start = 0; start < rows.length;) {
    const size = Math.min(MOST_ROWS, 2 ** Math.floor(Math.log2(rows.length - start)));
    const some = rows.slice(start, start + size);
    await run(textFor(table, columns, size, replaceBy), some.flat());
    start += size;
  }
}

function textFor(table: string, columns: readonly string[], rows: number, replaceBy: string | null): string {
  const shape = `${table} ${columns.join()} ${rows} ${replaceBy}`;
  const known = texts.get(shape);
  if (known !== undefined) return known;
  const row = `(${places(columns.length)})`;
  const others = columns.filter((column) => column !== replaceBy).map((column) => `${column} = excluded.${column}`);
  const text = [
    `INSERT INTO ${table} (${columns.join(', ')}) VALUES ${Array.from({ length: rows }, () => row).join(', ')}`,
    ...(replaceBy === null ? [] : [`ON CONFLICT (${replaceBy}) DO UPDATE SET ${others.join(', ')}`]),
  ].join(' ');
  texts.set(shape, text);
  return text;
}
