import { execFile } from 'node:child_process';
import { existsSync } from 'node:fs';
import { promisify } from 'node:util';
import knex, { type Knex } from 'knex';
import { types } from 'pg';
import { RateLimiterPostgres } from 'rate-limiter-flexible';
import { DatabaseProblem } from '../database-problem';
import type { Dialect } from '../dialect';
import { postgresChannel } from './postgres-channel';
import { PostgresClient } from './postgres-client';
import { failureOf, problemWith } from './postgres-errors';
import { postgresTexts } from './postgres-texts';

/** What brings the database up to date holds this lock, so that servers that start together do it one after another. */
const UPDATE_LOCK = 4_870_002;
/** Of the locks of tasks, beside the name of each. */
const TASK_LOCKS = 4_870;
/** How long a statement waits for another that writes. */
const LOCK_MILLISECONDS = 10_000;
const CONNECT_MILLISECONDS = 5_000;
/** More than there are tasks of the watch, each of which holds one for its lock while it uses others. */
const CONNECTIONS = 24;
const OLDEST_VERSION = 130_000;

// Revisions and counts stay far below 2^53; PostgreSQL sends whole numbers of eight bytes as texts.
types.setTypeParser(types.builtins.INT8, Number);

/**
 * A database on a PostgreSQL server, which several servers of Oilcan may use at the same time. What was acknowledged survives a power cut, as
 * long as `synchronous_commit` and `fsync` are on there, as they are unless somebody turned them off.
 */
export const postgres: Dialect = {
  isFor: (address) => /^postgres(ql)?:/.test(address),
  // Whether it is there shows when it is connected to.
  exists: () => true,
  connect: (address) =>
    knex({
      client: PostgresClient,
      connection: {
        connectionString: address,
        application_name: 'oilcan',
        connectionTimeoutMillis: CONNECT_MILLISECONDS,
        options: `-c lock_timeout=${LOCK_MILLISECONDS}`,
      },
      log: silent,
      pool: { min: 0, max: CONNECTIONS },
    }),
  runs: (connection) => (connection.client as Knex.Client).driverName === 'pg',
  texts: postgresTexts,
  check: async (connection, address) => {
    await checkServer(connection);
    await checkTables(connection, address);
  },
  liftLengths: async (connection) => {
    const columns: { in_table: string; name: string }[] = await connection.raw(
      `SELECT table_name AS in_table, column_name AS name FROM information_schema.columns
        WHERE table_schema = current_schema() AND data_type = 'character varying' AND table_name NOT LIKE 'knex%'`,
    );
    for (const { in_table, name } of columns)
      await connection.raw('ALTER TABLE ?? ALTER COLUMN ?? TYPE text', [in_table, name]);
  },
  channel: (connection) => postgresChannel(connection, addressOf(connection)),
  counts: (connection, bounds) =>
    new RateLimiterPostgres({
      ...bounds,
      storeClient: connection,
      storeType: 'knex',
      tableName: 'limits',
      tableCreated: true,
      clearExpiredByTimeout: true,
    }),
  unlessElsewhere: (connection, task, work) =>
    connection.transaction(
      async (holder) => {
        const [lock]: { is_mine: boolean }[] = await holder.raw(
          'SELECT pg_try_advisory_xact_lock(?, hashtext(?)) AS is_mine',
          [TASK_LOCKS, task],
        );
        if (lock?.is_mine !== true) return false;
        await work();
        return true;
      },
      { readOnly: true },
    ),
  oneAtATime: (connection, work) =>
    // A transaction of its own holds the lock, in which nothing else is done.
    connection.transaction(
      async (holder) => {
        // However long the others take.
        await holder.raw('SET LOCAL lock_timeout = 0');
        await holder.raw(`SELECT pg_advisory_xact_lock(${UPDATE_LOCK})`);
        return work();
      },
      { readOnly: true },
    ),
  keepPrivate: nothing,
  serveAlone: () => nothing,
  backUp: async (connection, file) => {
    if (existsSync(file))
      throw new DatabaseProblem(`There is a file at ${file} already. Name one that is not there yet.`);
    try {
      await promisify(execFile)('pg_dump', ['--format=custom', `--file=${file}`, addressOf(connection)]);
    } catch (error) {
      if ((error as { code?: unknown }).code !== 'ENOENT') throw error;
      throw new DatabaseProblem('A copy of PostgreSQL is made by pg_dump, which is not installed here.');
    }
  },
  problemWith,
  failureOf,
};

function addressOf(connection: Knex): string {
  const { config } = connection.client as { config: { connection: { connectionString: string } } };
  return config.connection.connectionString;
}

/** What goes wrong is thrown, and said by whoever started this; Knex need not say it too. */
const silent = { warn: nothing, error: nothing, deprecate: nothing, debug: nothing };

function nothing(): void {
  // Nothing at all.
}

/** Throws for a server that is too old, and for a database whose texts stand in another order than elsewhere. */
async function checkServer(connection: Knex): Promise<void> {
  const [server]: { version: string; encoding: string; collation: string }[] = await connection.raw(
    `SELECT current_setting('server_version_num') AS version, pg_encoding_to_char(encoding) AS encoding, datcollate AS collation
     FROM pg_database WHERE datname = current_database()`,
  );
  if (server === undefined || Number(server.version) < OLDEST_VERSION)
    throw new DatabaseProblem('Oilcan needs PostgreSQL 13 or newer.');
  if (server.encoding === 'UTF8' && ['C', 'POSIX', 'C.UTF-8', 'C.utf8'].includes(server.collation)) return;
  throw new DatabaseProblem(
    `The database has the encoding ${server.encoding} and the order ${server.collation}. Create it with: createdb --template=template0 --locale=C --encoding=UTF8.`,
  );
}

async function checkTables(connection: Knex, address: string): Promise<void> {
  const tables: { name: string }[] = await connection.raw(
    'SELECT table_name AS name FROM information_schema.tables WHERE table_schema = current_schema()',
  );
  if (tables.length > 0 && !tables.some(({ name }) => name === 'knex_migrations'))
    throw new DatabaseProblem(
      `The database ${new URL(address).pathname.slice(1)} belongs to something else than Oilcan.`,
    );
}
