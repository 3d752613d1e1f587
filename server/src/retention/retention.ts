import type { Instant } from '@oilcan/core/kernel';
import type { Knex } from 'knex';

/** How something that only grows is kept small. docs/SYNC.md says of every table what is kept and for how long. */
export interface Retention {
  readonly name: string;
  /**
   * Folds or forgets what is old, in steps that are each written by themselves and short enough that whoever waits behind one does not
   * notice. Gives after each how many rows it changed. A server that is stopped between two steps has lost nothing; the next night goes on.
   */
  readonly steps: (database: Knex, now: Instant) => AsyncGenerator<number>;
}

/** Rows that one step changes at most. */
export const ROWS_PER_STEP = 200;
