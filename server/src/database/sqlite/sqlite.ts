import { chmodSync, existsSync, mkdirSync, statSync } from 'node:fs';
import { dirname } from 'node:path';
import knex, { type Knex } from 'knex';
import { LRUCache } from 'lru-cache';
import { RateLimiterMemory } from 'rate-limiter-flexible';
import { nobodyElse } from '../channel';
import { DatabaseProblem } from '../database-problem';
import type { Dialect } from '../dialect';
import { serveAlone } from './serve-alone';
import { SqliteClient } from './sqlite-client';
import { failureOf, problemWith } from './sqlite-errors';
import { sqliteTexts } from './sqlite-texts';

const MEMORY = ':memory:';

/**
 * A file, or memory for tests. It runs with a write-ahead log and full synchronization, so that what was acknowledged
 * survives a power cut; one connection, so that changes follow one another.
 */
export const sqlite: Dialect = {
  isFor: (address) => address === MEMORY || !/^[a-z]{2,}:/.test(address),
  exists: (file) => file === MEMORY || existsSync(file),
  connect: (file) => {
    makeFolder(file);
    return knex({
      client: SqliteClient,
      connection: { filename: file },
      useNullAsDefault: true,
      log: silent,
      pool: { min: 1, max: 1, afterCreate: configure },
    });
  },
  runs: (connection) => (connection.client as Knex.Client).driverName === 'better-sqlite3',
  texts: sqliteTexts,
  check: async (connection, file) => {
    if (file !== MEMORY) await checkFile(connection, file);
  },
  // It takes no notice of them.
  liftLengths: () => Promise.resolve(),
  channel: () => nobodyElse,
  counts: (_connection, bounds) => new RateLimiterMemory(bounds),
  unlessElsewhere: async (_connection, _task, work) => {
    await work();
    return true;
  },
  // Whoever serves it is alone; Knex sees to the migrations.
  oneAtATime: (_connection, work) => work(),
  keepPrivate: (file) => {
    if (file === MEMORY) return;
    for (const path of [file, `${file}-wal`, `${file}-shm`]) if (existsSync(path)) chmodSync(path, 0o600);
  },
  serveAlone: (file) => {
    makeFolder(file);
    return serveAlone(file);
  },
  backUp: async (connection, file) => {
    if (existsSync(file))
      throw new DatabaseProblem(`There is a file at ${file} already. Name one that is not there yet.`);
    makeFolder(file);
    await connection.raw('VACUUM INTO ?', [file]);
    chmodSync(file, 0o600);
  },
  problemWith,
  failureOf,
};

function makeFolder(file: string): void {
  if (file !== MEMORY) mkdirSync(dirname(file), { recursive: true, mode: 0o700 });
}

/** What goes wrong is thrown, and said by whoever started this; Knex need not say it too. */
const silent = { warn: nothing, error: nothing, deprecate: nothing, debug: nothing };

function nothing(): void {
  // Nothing at all.
}

/** Larger files are not looked through at every start; what is wrong with them is found when it is read. */
const LOOKED_THROUGH_BYTES = 256 * 1024 * 1024;

/** Throws for a file that is damaged, or is a database of something else. */
async function checkFile(connection: Knex, file: string): Promise<void> {
  const size = existsSync(file) ? statSync(file).size : 0;
  if (size > 0 && size < LOOKED_THROUGH_BYTES) {
    const [found]: { quick_check: string }[] = await connection.raw('PRAGMA quick_check(1)');
    if (found?.quick_check !== 'ok') throw new DatabaseProblem(`The database ${file} is damaged. Restore a backup.`);
  }
  const tables: { name: string }[] = await connection('sqlite_master').where('type', 'table').select('name');
  if (tables.length > 0 && !tables.some(({ name }) => name === 'knex_migrations')) {
    throw new DatabaseProblem(`${file} is not a database of Oilcan.`);
  }
}

interface SqliteHandle {
  pragma(statement: string): unknown;
  prepare(sql: string): object;
}

/** How long a statement waits for another program that writes; nothing else is answered meanwhile. */
const BUSY_MILLISECONDS = 2_000;

/** What every connection is set to, before it is used. */
export function configure(handle: SqliteHandle, done: (error: Error | null, handle: SqliteHandle) => void): void {
  try {
    handle.pragma(`busy_timeout = ${BUSY_MILLISECONDS}`);
    handle.pragma('journal_mode = WAL');
    handle.pragma('synchronous = FULL');
    handle.pragma('foreign_keys = ON');
    rememberStatements(handle);
    done(null, handle);
  } catch (error) {
    done(error as Error, handle);
  }
}

const STATEMENTS_REMEMBERED = 500;

/** Knex prepares every query anew; the same text gives the same statement here, which it always runs to its end. */
function rememberStatements(handle: SqliteHandle): void {
  const remembered = new LRUCache<string, object>({ max: STATEMENTS_REMEMBERED });
  const prepare = handle.prepare.bind(handle);
  handle.prepare = (sql) => {
    const known = remembered.get(sql);
    if (known !== undefined) return known;
    const statement = prepare(sql);
    remembered.set(sql, statement);
    return statement;
  };
}
