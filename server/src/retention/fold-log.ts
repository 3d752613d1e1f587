import { addMinutes, type Instant } from '@oilcan/core/kernel';
import type { Knex } from 'knex';
import { FOLDED_ARGS } from '../log/operation-log';
import { ROWS_PER_STEP, type Retention } from './retention';
import { whileAny } from './while-any';

/** For so long the log says what an operation asked for and what it changed; after it, who did what and when, and what it was about. */
const LOG_WHOLE_DAYS = 730;
/** A copy of an operation from the future may be on its way for so long. */
const EARLY_COPY_DAYS = 31;
/** A device that took none of its numbers for so long does not use them any more. */
const LENT_DAYS = 366;

const daysBefore = (now: Instant, days: number): Instant => addMinutes(now, -days * 24 * 60);

export const foldLog: Retention = {
  name: 'log',
  steps: (database, now) =>
    whileAny(async () => {
      const old: string[] = await database('operations')
        .where('received_at', '<', daysBefore(now, LOG_WHOLE_DAYS))
        .where((whole) => whole.whereNot('args', FOLDED_ARGS).orWhereNotNull('changed'))
        .limit(ROWS_PER_STEP)
        .pluck('id');
      return old.length === 0
        ? 0
        : database('operations').whereIn('id', old).update({ args: FOLDED_ARGS, changed: null });
    }),
};

/** Copies that came before they were seen on a day are counted from the first night. */
export const forgetEarlyCopies: Retention = {
  name: 'early copies',
  steps: (database, now) =>
    whileAny(async () => {
      await database('early_operations')
        .whereNull('seen_on')
        .update({ seen_on: now.slice(0, 10) });
      return database('early_operations').where('seen_on', '<', daysBefore(now, EARLY_COPY_DAYS).slice(0, 10)).delete();
    }),
};

/** Those that were taken are known by what has them; those that were not are used by nobody. */
export const forgetLentNumbers: Retention = {
  name: 'lent numbers',
  steps: (database, now) =>
    whileAny(() =>
      inBatch(database, 'lent_numbers', 'number', (query) => query.where('lent_at', '<', daysBefore(now, LENT_DAYS))),
    ),
};

async function inBatch(
  database: Knex,
  table: string,
  key: string,
  narrowed: (query: Knex.QueryBuilder) => Knex.QueryBuilder,
): Promise<number> {
  const some: string[] = await narrowed(database(table)).limit(ROWS_PER_STEP).pluck(key);
  return some.length === 0 ? 0 : database(table).whereIn(key, some).delete();
}
