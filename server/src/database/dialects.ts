import type { Knex } from 'knex';
import { DatabaseProblem } from './database-problem';
import type { Dialect, Failure, TextIndex } from './dialect';
import { postgres } from './postgres/postgres';
import { sqlite } from './sqlite/sqlite';

/** Every kind of database that Oilcan can use. */
const dialects: readonly Dialect[] = [sqlite, postgres];

/** The kind of database that an address names. Throws `DatabaseProblem` for one that cannot be used. */
export function dialectFor(address: string): Dialect {
  const dialect = dialects.find(({ isFor }) => isFor(address));
  if (dialect !== undefined) return dialect;
  throw new DatabaseProblem(
    `Oilcan cannot use a database like ${address.split(':')[0]}. Name a file for it, or postgres://user@host/name.`,
  );
}

/** The kind of database that a connection is to. */
export function dialectOf(connection: Knex): Dialect {
  const dialect = dialects.find(({ runs }) => runs(connection));
  if (dialect === undefined) throw new DatabaseProblem('Oilcan does not know this kind of database.');
  return dialect;
}

/** The full texts of the database that a connection is to. */
export function textsOf(connection: Knex): TextIndex {
  return dialectOf(connection).texts;
}

/** What an error of any database says; null for one that says nothing of these. */
export function failureOf(error: unknown): Failure | null {
  const isWaiting = typeof error === 'object' && error !== null && 'name' in error && error.name === 'KnexTimeoutError';
  if (isWaiting) return 'busy';
  return dialects.map((dialect) => dialect.failureOf(error)).find((failure) => failure !== null) ?? null;
}
