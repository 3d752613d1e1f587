import type { Knex } from 'knex';

const AT_ONCE = 400;

/** A work order as the migrations found it. */
interface StoredWork {
  readonly id: string;
  readonly body: string;
}

/** All work orders, some at a time and in the order of their ids: nobody holds a million of them in memory. */
export async function* workOrdersInBatches(database: Knex): AsyncGenerator<readonly StoredWork[]> {
  for (let last = ''; ;) {
    const works: StoredWork[] = await database('work_orders')
      .where('id', '>', last)
      .orderBy('id')
      .limit(AT_ONCE)
      .select('id', 'body');
    if (works.length === 0) return;
    yield works;
    last = works.at(-1)?.id ?? '';
  }
}
