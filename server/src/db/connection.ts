import { mkdirSync } from 'node:fs';
import { dirname } from 'node:path';
import knex, { type Knex } from 'knex';
import { migrations } from './migrations/migrations';

/**
 * Opens the database and brings it up to date. SQLite runs with a write-ahead log and full synchronization, so that
 * what was acknowledged survives a power cut; one connection, so that changes follow one another.
 */
export async function openDatabase(database: string): Promise<Knex> {
  const connection = /^postgres(ql)?:\/\//.test(database) ? postgres(database) : sqlite(database);
  await connection.migrate.latest({ migrationSource: migrations });
  return connection;
}

function postgres(url: string): Knex {
  return knex({ client: 'pg', connection: url, pool: { min: 1, max: 8 } });
}

function sqlite(file: string): Knex {
  if (file !== ':memory:') mkdirSync(dirname(file), { recursive: true });
  return knex({
    client: 'better-sqlite3',
    connection: { filename: file },
    useNullAsDefault: true,
    pool: { min: 1, max: 1, afterCreate: configureSqlite },
  });
}

interface SqliteHandle {
  pragma(statement: string): unknown;
  prepare(sql: string): unknown;
}

function configureSqlite(handle: SqliteHandle, done: (error: Error | null, handle: SqliteHandle) => void): void {
  handle.pragma('journal_mode = WAL');
  handle.pragma('synchronous = FULL');
  handle.pragma('foreign_keys = ON');
  handle.pragma('busy_timeout = 5000');
  rememberStatements(handle);
  done(null, handle);
}

const STATEMENTS_REMEMBERED = 500;

/** Knex prepares every query anew; the same text gives the same statement here, which it always runs to its end. */
function rememberStatements(handle: SqliteHandle): void {
  const remembered = new Map<string, unknown>();
  const prepare = handle.prepare.bind(handle);
  handle.prepare = (sql) => {
    const known = remembered.get(sql);
    if (known !== undefined) return known;
    if (remembered.size >= STATEMENTS_REMEMBERED) remembered.clear();
    const statement = prepare(sql);
    remembered.set(sql, statement);
    return statement;
  };
}

/** A consistent copy of a running SQLite database in a new file. */
export async function backUp(connection: Knex, file: string): Promise<void> {
  await connection.raw('VACUUM INTO ?', [file]);
}
