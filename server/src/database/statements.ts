import type { Knex } from 'knex';

export type Value = string | number | null;

/** Runs one statement within a transaction and gives its rows. The text is prepared once, however often it is run. */
export type Run = <Row>(sql: string, values: readonly Value[]) => Promise<readonly Row[]>;

/** A client that can run a statement without Knex's building of it, on the connection of a transaction. */
export interface DirectClient {
  runDirectly(
    connection: unknown,
    sql: string,
    values: readonly Value[],
  ): readonly unknown[] | Promise<readonly unknown[]>;
}

function isDirect(client: object): client is DirectClient {
  return 'runDirectly' in client;
}

/**
 * What runs statements within a transaction as fast as its database lets them. Knex builds and formats a query for about as
 * long as SQLite takes to carry out ten of them. Throws for an answer that is not understood.
 */
export async function runnerOf(transaction: Knex): Promise<Run> {
  const client = transaction.client as Knex.Client & { acquireConnection(): Promise<unknown> };
  if (!transaction.isTransaction || !isDirect(client)) {
    return async <Row>(sql: string, values: readonly Value[]) => {
      const rows: unknown = await transaction.raw(sql, [...values]);
      if (!Array.isArray(rows)) throw new Error('The database gave an answer that is not understood.');
      return rows as Row[];
    };
  }
  const connection = await client.acquireConnection();
  return async <Row>(sql: string, values: readonly Value[]) =>
    (await client.runDirectly(connection, sql, values)) as readonly Row[];
}

const placesOf = new Map<number, string>();

/** `?, ?, ?` for so many values. */
export function places(count: number): string {
  const known = placesOf.get(count);
  if (known !== undefined) return known;
  const made = Array.from({ length: count }, () => '?').join(', ');
  placesOf.set(count, made);
  return made;
}

/** Values in one statement, well under every database's limit. */
const VALUES_AT_ONCE = 512;

/**
 * Runs a statement over many values, some at a time. Their number is rounded up to a power of two by repeating the last one, so that
 * few texts stand for all numbers.
 */
export async function runAmong<Row>(
  run: Run,
  values: readonly string[],
  sqlFor: (places: string) => string,
  before: readonly Value[] = [],
): Promise<Row[]> {
  const rows: Row[] = [];
  for (let start = 0; start < values.length; start += VALUES_AT_ONCE) {
    const some = values.slice(start, start + VALUES_AT_ONCE);
    const size = 2 ** Math.ceil(Math.log2(some.length));
    const last = some.at(-1) ?? '';
    const padded = [...some, ...Array.from({ length: size - some.length }, () => last)];
    rows.push(...(await run<Row>(sqlFor(places(size)), [...before, ...padded])));
  }
  return rows;
}
