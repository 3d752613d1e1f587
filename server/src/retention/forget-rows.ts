import { addMinutes } from '@oilcan/core/kernel';
import { tableNamed } from '@oilcan/core/registry';
import { readRow, type StoredRow } from '../database/sql-records';
import { sqlName } from '../database/sql-names';
import { ROWS_PER_STEP, type Retention } from './retention';
import { whileAny } from './while-any';

const MAIL_DAYS = 90;

/** Rows of long ago that only one person sees. Their phones let go of them by the same rule, each by itself, so nobody is told. */
const forgetting = (table: 'notices' | 'clockPlaces'): Retention => ({
  name: table,
  async *steps(database, now) {
    for (let last = ''; ;) {
      const stored: StoredRow[] = await database<StoredRow>(sqlName(table))
        .where('id', '>', last)
        .orderBy('id')
        .limit(ROWS_PER_STEP)
        .select('id', 'body');
      if (stored.length === 0) return;
      last = stored.at(-1)?.id ?? '';
      const old = stored.filter((each) => tableNamed(table).isExpired?.(readRow(table, each), now) === true);
      if (old.length === 0) continue;
      yield await database(sqlName(table))
        .whereIn(
          'id',
          old.map(({ id }) => id),
        )
        .delete();
    }
  },
});

export const forgetNotices = forgetting('notices');
export const forgetClockPlaces = forgetting('clockPlaces');

/** Mails that went out long ago. */
export const forgetMails: Retention = {
  name: 'mails',
  steps: (database, now) =>
    whileAny(async () => {
      const sent: string[] = await database('mails')
        .where('sent_at', '<', addMinutes(now, -MAIL_DAYS * 24 * 60))
        .limit(ROWS_PER_STEP)
        .pluck('id');
      return sent.length === 0 ? 0 : database('mails').whereIn('id', sent).delete();
    }),
};
