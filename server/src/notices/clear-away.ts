import { addMinutes, type Instant } from '@oilcan/core/kernel';
import { tables } from '@oilcan/core/registry';
import type { Knex } from 'knex';
import { readRow, type StoredRow } from '../database/sql-records';

const MAIL_DAYS = 90;
const IDS_PER_STATEMENT = 400;

/**
 * Lets go of notices of long ago, and of mails that went out three months ago. Phones do the same by themselves, so
 * nobody is told.
 */
export async function clearAway(transaction: Knex.Transaction, now: Instant): Promise<void> {
  const stored: StoredRow[] = await transaction<StoredRow>('notices').select('id', 'body');
  const old = stored.flatMap((each) => {
    const notice = readRow('notices', each);
    return tables.notices.isOutlived?.(notice, now) === true ? [notice.id] : [];
  });
  for (let start = 0; start < old.length; start += IDS_PER_STATEMENT) {
    const some = old.slice(start, start + IDS_PER_STATEMENT);
    await transaction('notices').whereIn('id', some).delete();
  }
  await transaction('mails')
    .where('sent_at', '<', addMinutes(now, -MAIL_DAYS * 24 * 60))
    .delete();
}
