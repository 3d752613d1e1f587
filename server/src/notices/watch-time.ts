import { instantFromMillis, startOfDay, type Instant, type SiteId } from '@oilcan/core/kernel';
import { noticesOfLate, noticesOfShort, type Notice } from '@oilcan/core/overview/notices';
import { settingsAt } from '@oilcan/core/orders/settings';
import type { WorkOrder } from '@oilcan/core/orders/work';
import type { Knex } from 'knex';
import { currentRevision } from '../database/revisions';
import type { Audience } from '../database/feed/audiences';
import { readRow, SqlRecords, type StoredRow } from '../database/sql-records';
import { directoryOf } from '../directory/directory';
import { allOf, writeNotices } from './notices-of-push';
import { shortParts } from './short-parts';

const LOOKED_AT = 'notices_looked_at';
/** Before the first look, what became late within a day is told. */
const FIRST_LOOK_MILLISECONDS = 24 * 3_600_000;

/**
 * Tells of what nobody did: work that became late since the last look, and parts short for tomorrow's work.
 *
 * @returns the revision after it, and whom it concerns, when anybody was told
 */
export async function watchTime(
  database: Knex,
  nowMillis: number,
): Promise<{ readonly revision: number; readonly concerned: ReadonlySet<Audience> } | null> {
  const now = instantFromMillis(nowMillis);
  return database.transaction(async (transaction) => {
    const looked: { value: number | string } | undefined = await transaction('counters')
      .where('name', LOOKED_AT)
      .first();
    const lookedAt = instantFromMillis(Number(looked?.value ?? nowMillis - FIRST_LOOK_MILLISECONDS));
    await transaction('counters').insert({ name: LOOKED_AT, value: nowMillis }).onConflict('name').merge();
    const records = new SqlRecords(transaction);
    const everybody = await directoryOf(transaction);
    const { settings } = everybody;
    if (settings === undefined) return null;
    const told = noticesOfLate(await dueWithin(transaction, lookedAt, now), everybody, lookedAt, now);
    for (const site of await allOf(transaction, 'sites')) {
      const { zone } = settingsAt(settings, site);
      const tomorrow = { from: startOfDay(now, zone, 1), to: startOfDay(now, zone, 2) };
      const due = await dueWithin(transaction, tomorrow.from, tomorrow.to, site.id);
      const short = await shortParts(records, due);
      told.push(...noticesOfShort(due, everybody, tomorrow, ({ id }) => short.get(id) ?? [], now));
    }
    const changes = await writeNotices(transaction, await onlyUnsaid(records, told), now);
    await records.write(changes);
    if (changes.length === 0) return null;
    return { revision: await currentRevision(transaction), concerned: records.audience };
  });
}

/** Open work that is due from a time on and before another; of all sites, where none is named. */
async function dueWithin(
  transaction: Knex.Transaction,
  from: Instant,
  to: Instant,
  siteId?: SiteId,
): Promise<WorkOrder[]> {
  const stored: StoredRow[] = await transaction<StoredRow>('work_orders')
    .where('due', '>=', from)
    .where('due', '<', to)
    .modify((query) => (siteId === undefined ? query : query.where('site', siteId)))
    .select('body');
  return stored.map((each) => readRow('workOrders', each));
}

/** What says nothing that was not said before is not said again. */
async function onlyUnsaid(records: SqlRecords, told: readonly Notice[]): Promise<Notice[]> {
  const unsaid: Notice[] = [];
  for (const notice of told) {
    const before = await records.get('notices', notice.id);
    if (notice.kind === 'late' || before === undefined || JSON.stringify(before.facts) !== JSON.stringify(notice.facts))
      unsaid.push(notice);
  }
  return unsaid;
}
