import type { Knex } from 'knex';
import { freshPostgres } from './fresh-postgres';
import { freshSqlite } from './fresh-sqlite';

/** The PostgreSQL server on which the tests run, where they do not run on SQLite. */
const postgres = process.env['OILCAN_TEST_POSTGRES'];

/** Whether these tests run on PostgreSQL. */
export const isOnPostgres = postgres !== undefined;

/** An empty database as every migration leaves it, in a tenth of the time that the migrations take. */
export function freshDatabase(): Promise<Knex> {
  return postgres === undefined ? freshSqlite() : freshPostgres(postgres);
}
