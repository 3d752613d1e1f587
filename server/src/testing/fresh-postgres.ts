import { randomUUID } from 'node:crypto';
import type { Knex } from 'knex';
import { postgres } from '../database/postgres/postgres';
import { openDatabase } from '../open-database';
import { testClock } from './test-clock';

/** Made once for all tests that run in this process, of however many files. */
const TEMPLATE = `oilcan_empty_${process.pid}`;

/** A database of the tests' PostgreSQL server, which goes when its connection is closed. */
export async function freshPostgres(server: string): Promise<Knex> {
  const name = `oilcan_${randomUUID().replaceAll('-', '')}`;
  await onServer(server, async (keeper) => {
    const made: object[] = await keeper.raw('SELECT 1 FROM pg_database WHERE datname = ?', [TEMPLATE]);
    if (made.length === 0) await makeTemplate(server, keeper);
    await keeper.raw(`CREATE DATABASE ${name} TEMPLATE ${TEMPLATE}`);
  });
  const database = postgres.connect(`${server}/${name}`);
  const client = database.client as { destroy(): Promise<void> };
  const close = client.destroy.bind(client);
  client.destroy = async () => {
    await close();
    await onServer(server, (keeper) => keeper.raw(`DROP DATABASE IF EXISTS ${name} WITH (FORCE)`));
  };
  return database;
}

async function makeTemplate(server: string, keeper: Knex): Promise<void> {
  await keeper.raw(`CREATE DATABASE ${TEMPLATE} TEMPLATE template0`);
  const empty = await openDatabase(`${server}/${TEMPLATE}`, testClock());
  await empty.destroy();
}

async function onServer(server: string, work: (keeper: Knex) => Promise<unknown>): Promise<void> {
  const keeper = postgres.connect(`${server}/postgres`);
  try {
    await work(keeper);
  } finally {
    await keeper.destroy();
  }
}
