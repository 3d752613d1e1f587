import type { Revision } from '@oilcan/core/sync';
import type { Knex } from 'knex';
import { runnerOf, type Run } from '../statements';
import { SCOPES_COUNTER } from './scopes-changed';

/** The newest revisions of a database. */
export interface Newest {
  /** Of anything. */
  readonly revision: Revision;
  /** Of what decides who carries what: people, crews, settings. */
  readonly scopes: Revision;
}

export async function newestWithin(run: Run): Promise<Newest> {
  const counters = await run<{ name: string; value: number | string }>(
    'SELECT name, value FROM counters WHERE name IN (?, ?)',
    ['revision', SCOPES_COUNTER],
  );
  const valueOf = (name: string): Revision => Number(counters.find((each) => each.name === name)?.value ?? 0);
  return { revision: valueOf('revision'), scopes: valueOf(SCOPES_COUNTER) };
}

export async function newestOf(database: Knex): Promise<Newest> {
  return newestWithin(await runnerOf(database));
}
