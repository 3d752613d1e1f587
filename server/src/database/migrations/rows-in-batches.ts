import type { Knex } from 'knex';

const AT_ONCE = 400;

/** A row as a migration found it. */
interface StoredBody {
  readonly id: string;
  readonly body: string;
}

/** All rows of a table, some at a time and in the order of their ids: nobody holds a million of them in memory. */
export async function* rowsInBatches(database: Knex, table: string): AsyncGenerator<readonly StoredBody[]> {
  for (let last = ''; ;) {
    const rows: StoredBody[] = await database(table)
      .where('id', '>', last)
      .orderBy('id')
      .limit(AT_ONCE)
      .select('id', 'body');
    if (rows.length === 0) return;
    yield rows;
    last = rows.at(-1)?.id ?? '';
  }
}
