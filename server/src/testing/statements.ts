import type { Knex } from 'knex';

/** The two ways by which a statement reaches a database: as Knex builds it, and directly. */
interface Ways {
  _query(connection: unknown, asked: { readonly sql: string }): unknown;
  runDirectly(connection: unknown, sql: string, values: readonly unknown[]): unknown;
}

/** What was asked of the database while something was done, but for the beginnings and ends of transactions. */
export async function statementsOf<T>(
  database: Knex,
  work: () => Promise<T>,
): Promise<{ readonly result: T; readonly statements: readonly string[] }> {
  // Transactions have clients of their own, which share this.
  const ways = (database.client as { constructor: { prototype: Ways } }).constructor.prototype;
  const { _query: query, runDirectly } = ways;
  const isOwn = Object.hasOwn(ways, '_query');
  const statements: string[] = [];
  const note = (sql: string): void => {
    if (!/^(BEGIN|COMMIT|ROLLBACK)/.test(sql)) statements.push(sql);
  };
  ways._query = function (this: Ways, connection, asked) {
    note(asked.sql);
    return query.call(this, connection, asked);
  };
  ways.runDirectly = function (this: Ways, connection, sql, values) {
    note(sql);
    return runDirectly.call(this, connection, sql, values);
  };
  try {
    return { result: await work(), statements };
  } finally {
    if (isOwn) ways._query = query;
    else Reflect.deleteProperty(ways, '_query');
    ways.runDirectly = runDirectly;
  }
}
