import type { Revision } from '@oilcan/core/sync';
import type { Knex } from 'knex';

/**
 * Takes the next so many revisions and gives the last of them. Whoever takes one first makes every later taker
 * wait for the end of its transaction, so revisions become visible in their order.
 */
export async function takeRevisions(transaction: Knex.Transaction, count: number): Promise<Revision> {
  await transaction('counters').where('name', 'revision').increment('value', count);
  return currentRevision(transaction);
}

/** The newest revision that was given out. */
export async function currentRevision(connection: Knex): Promise<Revision> {
  const counter: { value: number | string } | undefined = await connection('counters')
    .where('name', 'revision')
    .first('value');
  return Number(counter?.value ?? 0);
}
