import type { Knex } from 'knex';

/** The handle of better-sqlite3 behind a connection. */
interface Handle {
  prepare(sql: string): unknown;
}

/** What was asked of the database while something was done, but for the beginnings and ends of transactions. */
export async function statementsOf<T>(
  database: Knex,
  work: () => Promise<T>,
): Promise<{ readonly result: T; readonly statements: readonly string[] }> {
  const client = database.client as { acquireConnection(): Promise<Handle>; releaseConnection(of: Handle): unknown };
  const handle = await client.acquireConnection();
  await client.releaseConnection(handle);
  const prepare = handle.prepare;
  const statements: string[] = [];
  // Everything goes through it: what Knex builds, and what is run directly.
  handle.prepare = (sql) => {
    if (!/^(BEGIN|COMMIT|ROLLBACK)/.test(sql)) statements.push(sql);
    return prepare(sql);
  };
  try {
    return { result: await work(), statements };
  } finally {
    handle.prepare = prepare;
  }
}
