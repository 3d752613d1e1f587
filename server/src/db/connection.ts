import { chmodSync, existsSync, mkdirSync, statSync } from 'node:fs';
import { dirname } from 'node:path';
import knex, { type Knex } from 'knex';
import { DatabaseProblem, problemWith } from './database-problem';
import { migrations } from './migrations/migrations';
import { SqliteClient } from './sqlite-client';

/** What a program wants of a database. */
export interface Wanted {
  /** Whether one that is not there is an error, and not made. */
  readonly mustExist?: boolean;
  /** Whether it is left in the version in which it is. */
  readonly asItIs?: boolean;
  /** Hears of one that an older Oilcan wrote, once it is of this version. */
  readonly onUpgrade?: (sentence: string) => void;
  /** What is done after the migrations, before anybody uses it. */
  readonly bringUpToDate?: (connection: Knex) => Promise<void>;
}

const MEMORY = ':memory:';

/**
 * Opens the database and brings it up to date. SQLite runs with a write-ahead log and full synchronization, so that
 * what was acknowledged survives a power cut; one connection, so that changes follow one another. Throws
 * `DatabaseProblem` with one sentence for one that cannot be used.
 */
export async function connect(database: string, wanted: Wanted = {}): Promise<Knex> {
  const isPostgres = /^postgres(ql)?:\/\//.test(database);
  const isFile = !isPostgres && database !== MEMORY;
  if (isFile && wanted.mustExist === true && !existsSync(database)) {
    throw new DatabaseProblem(`There is no database at ${database}. Nothing was made.`);
  }
  let connection: Knex | undefined;
  try {
    connection = isPostgres ? postgres(database) : sqlite(database);
    if (isFile) await checkFile(connection, database);
    await refuseNewer(connection, database);
    if (wanted.asItIs !== true) {
      const [, done] = (await connection.migrate.latest({ migrationSource: migrations })) as [number, string[]];
      const count = (await migrations.getMigrations([])).length;
      if (done.length > 0 && done.length < count)
        wanted.onUpgrade?.(`The database ${database} was written by an older Oilcan. It is brought up to date.`);
      await wanted.bringUpToDate?.(connection);
    }
    if (isFile) keepPrivate(database);
    return connection;
  } catch (error) {
    await connection?.destroy();
    throw isPostgres ? error : problemWith(database, error);
  }
}

function postgres(url: string): Knex {
  return knex({ client: 'pg', connection: url, pool: { min: 1, max: 8 } });
}

function sqlite(file: string): Knex {
  if (file !== MEMORY) mkdirSync(dirname(file), { recursive: true, mode: 0o700 });
  return knex({
    client: SqliteClient,
    connection: { filename: file },
    useNullAsDefault: true,
    log: silent,
    pool: { min: 1, max: 1, afterCreate: configureSqlite },
  });
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

/** Throws for a database that a later Oilcan has written. */
async function refuseNewer(connection: Knex, database: string): Promise<void> {
  if (!(await connection.schema.hasTable('knex_migrations'))) return;
  const known = new Set((await migrations.getMigrations([])).map((each) => migrations.getMigrationName(each)));
  const done: string[] = await connection('knex_migrations').pluck('name');
  if (done.some((name) => !known.has(name))) {
    throw new DatabaseProblem(`The database ${database} was written by a newer Oilcan. Update this one first.`);
  }
}

/** The files of a database are read and written by their owner alone. */
function keepPrivate(file: string): void {
  for (const path of [file, `${file}-wal`, `${file}-shm`]) if (existsSync(path)) chmodSync(path, 0o600);
}

interface SqliteHandle {
  pragma(statement: string): unknown;
  prepare(sql: string): unknown;
}

/** How long a statement waits for another program that writes; nothing else is answered meanwhile. */
const BUSY_MILLISECONDS = 2_000;

function configureSqlite(handle: SqliteHandle, done: (error: Error | null, handle: SqliteHandle) => void): void {
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

/** A consistent copy of a running SQLite database in a new file, read and written by its owner alone. */
export async function backUp(connection: Knex, file: string): Promise<void> {
  if (existsSync(file))
    throw new DatabaseProblem(`There is a file at ${file} already. Name one that is not there yet.`);
  await connection.raw('VACUUM INTO ?', [file]);
  chmodSync(file, 0o600);
}
