import knex, { type Knex } from 'knex';
import { openDatabase } from '../open-database';
import { configure } from '../database/sqlite/sqlite';
import { testClock } from './test-clock';
import { SqliteClient } from '../database/sqlite/sqlite-client';

/** The handle of better-sqlite3 behind a connection. */
interface Handle {
  serialize(): Buffer;
}

let empty: Promise<Buffer> | undefined;

/** An empty database as every migration leaves it, as bytes: made once for all tests of a file. */
async function emptyDatabase(): Promise<Buffer> {
  const database = await openDatabase(':memory:', testClock());
  const client = database.client as { acquireConnection(): Promise<Handle>; releaseConnection(of: Handle): unknown };
  const handle = await client.acquireConnection();
  const bytes = handle.serialize();
  await client.releaseConnection(handle);
  await database.destroy();
  return bytes;
}

/** A database in memory. */
export async function freshSqlite(): Promise<Knex> {
  empty ??= emptyDatabase();
  const filename = (await empty) as unknown as string;
  return knex({
    client: SqliteClient,
    connection: { filename },
    useNullAsDefault: true,
    pool: { min: 1, max: 1, afterCreate: configure },
  });
}
