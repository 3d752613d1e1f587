import type { Instant, PointId } from '@oilcan/core/kernel';
import { usualFor, type PastJob } from '@oilcan/core/past/past';
import { leadsOf, type Person } from '@oilcan/core/plant/people';
import type { Change } from '@oilcan/core/records';
import { costOf } from '@oilcan/core/registry';
import { unusualOf, type Review } from '@oilcan/core/finishing/review';
import { settingsAt, usualLimits, type Settings } from '@oilcan/core/orders/settings';
import type { Entry, WorkOrder } from '@oilcan/core/orders/work';
import { dequal } from 'dequal';
import type { Knex } from 'knex';
import { readRow, SqlRecords, type StoredRow } from '../database/sql-records';
import { directoryOf } from '../directory/directory';
import { pastRows } from '../past/past-rows';
import { entriesByWork } from '../past/summaries';

/** So many jobs of the machine before it are looked at, and so many of its class. */
const JOBS_BEFORE = 200;
const JOBS_OF_CLASS = 100;
/** Of more such jobs the newest say what they cost. */
const JOBS_COMPARED = 30;

/**
 * Makes what leads look at finished work by, keeps it up to date until the work is accepted, and takes it away when the work comes
 * back. Reads what is stored and the past of it, so it comes after both were written.
 *
 * @param touched work orders that changed or on which something was recorded, as they are now
 */
export async function noteReviews(
  transaction: Knex.Transaction,
  records: SqlRecords,
  touched: readonly WorkOrder[],
  now: Instant,
): Promise<void> {
  const reopened = touched.filter(({ handedBack }) => handedBack?.since === now);
  for (const { id } of reopened) await records.remove('reviews', id);
  const ended = touched.filter(({ state }) => state === 'finished' || state === 'accepted');
  if (ended.length === 0) return;
  const { settings, people } = await directoryOf(transaction);
  if (settings === undefined) return;
  const changes: Change[] = [];
  for (const work of ended) {
    const before = await records.get('reviews', work.id);
    // What was accepted stays as it was looked at.
    if (work.state === 'accepted' && before?.acceptedAt !== null) continue;
    const row = await reviewOf(transaction, records, work, settings, people);
    if (!dequal(before, row)) changes.push({ table: 'reviews', id: row.id, row });
  }
  await records.write(changes);
}

/** Makes what is missing for work that waits to be looked at: that was finished before there was such a thing, or loaded. */
export async function bringReviewsUpToDate(database: Knex, now: Instant): Promise<void> {
  await database.transaction(async (transaction) => {
    const stored: StoredRow[] = await transaction('work_orders')
      .whereNull('ended')
      .whereNotIn('id', transaction('reviews').select('id'))
      .select('body');
    const works = stored.map((row) => readRow('workOrders', row)).filter(({ state }) => state === 'finished');
    if (works.length > 0) await noteReviews(transaction, new SqlRecords(transaction), works, now);
  });
}

async function reviewOf(
  transaction: Knex.Transaction,
  records: SqlRecords,
  work: WorkOrder,
  settings: Settings,
  people: readonly Person[],
): Promise<Review> {
  const entries = await records.list('entries', 'workOrder', work.id);
  const steps = await records.list('steps', 'workOrder', work.id);
  const led = await records.list('workOrders', 'cameFrom', work.id);
  const before = (await pastJobs(transaction, 'asset', work.assetId, JOBS_BEFORE)).filter(({ id }) => id !== work.id);
  const equipmentClass = (await records.get('assets', work.assetId))?.equipmentClass ?? '';
  const usual =
    usualFor(work, before, []) ??
    usualFor(work, before, await pastJobs(transaction, 'class', equipmentClass, JOBS_OF_CLASS));
  const { currency } = settingsAt(settings, await records.get('sites', work.siteId));
  const minorOf = (of: readonly Entry[]): number =>
    costOf(of).total.find((sum) => sum.currency === currency)?.minor ?? 0;
  const compared = (usual?.jobs ?? []).slice(0, JOBS_COMPARED).map(({ id }) => id);
  const ofSuch = await entriesByWork(transaction, compared);
  const answered = led.flatMap(({ alarmOf }): PointId[] => (alarmOf === undefined ? [] : [alarmOf]));
  const unusual = unusualOf(
    {
      work,
      entries,
      steps,
      answeredPoints: new Set(answered),
      ledOn: led.length > 0,
      before,
      usual,
      costMinor: minorOf(entries),
      usualCostsMinor: compared.map((id) => minorOf(ofSuch.get(id) ?? [])),
    },
    settings.review ?? usualLimits,
  );
  return {
    id: work.id,
    siteId: work.siteId,
    workOrderId: work.id,
    readerIds: leadsOf(people, work.siteId),
    finishedAt: work.finishedAt ?? work.createdAt,
    acceptedAt: work.state === 'accepted' ? work.closedAt : null,
    unusual,
    cost: costOf(entries),
  };
}

async function pastJobs(
  transaction: Knex.Transaction,
  column: 'asset' | 'class',
  of: string,
  limit: number,
): Promise<PastJob[]> {
  const newest = transaction('past_jobs').where(column, of).orderBy('at', 'desc').limit(limit);
  return (await pastRows(transaction, newest)).map(({ body }) => JSON.parse(body) as PastJob);
}
