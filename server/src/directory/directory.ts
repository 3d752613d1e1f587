import type { Crew, Person } from '@oilcan/core/plant/people';
import type { TableName, Tables } from '@oilcan/core/records';
import type { Revision } from '@oilcan/core/sync';
import { SETTINGS_ID, type Settings } from '@oilcan/core/orders/settings';
import type { Knex } from 'knex';
import { newestWithin } from '../database/feed/newest';
import { readRow, type StoredRow } from '../database/sql-records';
import { sqlName } from '../database/sql-names';
import { runnerOf, type Run } from '../database/statements';

/** Who works here and by which settings: few rows, which hardly ever change and which every pull and every push needs whole. */
export interface Directory {
  /** The revision since which it is so. */
  readonly since: Revision;
  /** Of the database: a phone of another one begins anew. */
  readonly identity: string;
  readonly people: readonly Person[];
  readonly crews: readonly Crew[];
  readonly settings: Settings | undefined;
}

/** As last read from each database, by what all connections and transactions of it share. */
const lastRead = new WeakMap<object, Directory>();
const keyOf = (database: Knex): object => (database.client as { readonly config: object }).config;

/**
 * The directory as this transaction sees it.
 *
 * What is read here is not kept: the transaction may have changed it, and may yet be undone.
 */
export async function directoryOf(database: Knex): Promise<Directory> {
  const run = await runnerOf(database);
  const { scopes } = await newestWithin(run);
  const known = lastRead.get(keyOf(database));
  return known?.since === scopes ? known : readDirectory(run, scopes);
}

/**
 * As `directoryOf`, for a transaction that writes nothing: what it reads is kept until the directory changes.
 *
 * @param since the newest revision of scopes, as this transaction sees it
 */
export async function keptDirectory(database: Knex, run: Run, since: Revision): Promise<Directory> {
  const known = lastRead.get(keyOf(database));
  if (known?.since === since) return known;
  const read = await readDirectory(run, since);
  lastRead.set(keyOf(database), read);
  return read;
}

async function readDirectory(run: Run, since: Revision): Promise<Directory> {
  const [identity] = await run<{ id: string }>('SELECT id FROM identity', []);
  return {
    since,
    identity: identity?.id ?? '',
    people: await allOf(run, 'people'),
    crews: await allOf(run, 'crews'),
    settings: (await allOf(run, 'settings')).find(({ id }) => id === SETTINGS_ID),
  };
}

async function allOf<T extends TableName>(run: Run, table: T): Promise<Tables[T][]> {
  const stored = await run<StoredRow>(`SELECT body FROM ${sqlName(table)} ORDER BY id`, []);
  return stored.map((each) => readRow(table, each));
}
