import type { Revision } from '@oilcan/core/sync';
import type { Knex } from 'knex';
import type { Run } from './statements';

const READ = "SELECT value FROM counters WHERE name = 'revision'";

/**
 * Takes the next so many revisions and gives the last of them. Whoever takes one first makes every later taker
 * wait for the end of its transaction, so revisions become visible in their order.
 */
export async function takeRevisions(run: Run, count: number): Promise<Revision> {
  await run("UPDATE counters SET value = value + ? WHERE name = 'revision'", [count]);
  return revisionWithin(run);
}

/** The newest revision that was given out, as a transaction sees it. */
export async function revisionWithin(run: Run): Promise<Revision> {
  const [counter] = await run<{ value: number | string }>(READ, []);
  return Number(counter?.value ?? 0);
}

/** The newest revision that was given out. */
export async function currentRevision(connection: Knex): Promise<Revision> {
  const counter: { value: number | string } | undefined = await connection('counters')
    .where('name', 'revision')
    .first('value');
  return Number(counter?.value ?? 0);
}
