import { instantFromMillis } from '@oilcan/core/kernel';
import { retryDelay } from '@oilcan/core/sync';
import type { Knex } from 'knex';

/** After so many tries, about twenty minutes, what cannot be carried away is put aside for somebody to see. */
const MOST_TRIES = 10;

/** What waits in a queue: under one name through every try. */
export interface QueuedRow {
  readonly id: string | number;
  readonly tries: number;
}

interface Delivering<Row> {
  readonly nowMillis: number;
  readonly atOnce?: number;
  readonly chance?: () => number;
  /** Carries one away; rejects when it cannot. */
  readonly send: (row: Row) => Promise<void>;
  /** What is noted beside when one went out, in the same transaction. */
  readonly noteSent?: (transaction: Knex.Transaction, row: Row) => Promise<void>;
}

/**
 * Carries away what waits in a queue. One that cannot be sent is tried ever more rarely, holds up no other, and is put aside in the
 * end. Each keeps its name, so that one that went out just before the server stopped is known again by whoever gets it.
 *
 * @returns how many went out
 */
export async function deliverQueued<Row extends QueuedRow>(
  database: Knex,
  queue: string,
  { nowMillis, atOnce = 50, chance = Math.random, send, noteSent }: Delivering<Row>,
): Promise<number> {
  const now = instantFromMillis(nowMillis);
  const waiting = (await database(queue)
    .whereNull('put_aside_at')
    .where((due) => due.whereNull('next_try_at').orWhere('next_try_at', '<=', now))
    .orderBy('id')
    .limit(atOnce)) as Row[];
  let sent = 0;
  for (const row of waiting) {
    try {
      await send(row);
    } catch {
      const tries = row.tries + 1;
      await database(queue)
        .where('id', row.id)
        .update({
          tries,
          next_try_at: instantFromMillis(nowMillis + retryDelay(tries, chance())),
          put_aside_at: tries >= MOST_TRIES ? now : null,
        });
      continue;
    }
    await database.transaction(async (transaction) => {
      await transaction(queue).where('id', row.id).delete();
      await noteSent?.(transaction, row);
    });
    sent += 1;
  }
  return sent;
}
