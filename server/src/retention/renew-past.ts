import type { Knex } from 'knex';
import type { Retention } from './retention';
import { notePast } from '../past/note-past';
import { PAST_VERSION } from '../past/summaries';

/** So many work orders hold up whoever writes meanwhile for a few hundredths of a second. */
const WORKS_AT_ONCE = 50;

/** Summarises anew, some at a time, what another version of the program summarised. Until then it is done for whoever reads it. */
export const renewPast: Retention = {
  name: 'past',
  steps: async function* (database: Knex) {
    for (;;) {
      const works: string[] = await database('past_jobs')
        .where('version', '<', PAST_VERSION)
        .orWhere('version', '>', PAST_VERSION)
        .limit(WORKS_AT_ONCE)
        .pluck('work_order');
      if (works.length === 0) return;
      await database.transaction((transaction) => notePast(transaction, new Set(works)));
      yield works.length;
    }
  },
};
