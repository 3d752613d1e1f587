import type { Change } from '@oilcan/core/records';
import type { Asset } from '@oilcan/core/plant/plant';
import { PAST_CONTENT, pastJobsOf } from '@oilcan/core/registry';
import type { Stop } from '@oilcan/core/steps/rounds';
import { doneAt, type Entry, type WorkOrder } from '@oilcan/core/orders/work';
import { createHash } from 'node:crypto';
import type { Knex } from 'knex';
import { insertRows } from '../database/insert-rows';
import { runAmong, runnerOf } from '../database/statements';

const IDS_PER_STATEMENT = 400;
const columns = ['id', 'work_order', 'site', 'asset', 'place', 'class', 'at', 'body'] as const;

/** The work orders whose past these changes may alter. */
export function worksTouchedBy(changes: readonly Change[]): ReadonlySet<string> {
  return new Set(
    changes.flatMap((change): string[] => {
      if (change.table === 'workOrders') return [change.id];
      return change.table === 'entries' && change.row !== null ? [change.row.workOrderId] : [];
    }),
  );
}

/** A number for what a `PastJob` holds: when it is another one, all of them are made anew. */
const PAST_VERSION = createHash('sha256').update(PAST_CONTENT).digest().readUIntBE(0, 6);
const VERSION_COUNTER = 'past_version';

/** What is derived from work orders and entries is made anew when it is of another version than this program makes. */
export async function bringPastUpToDate(database: Knex): Promise<void> {
  const made: { value: number | string } | undefined = await database('counters')
    .where('name', VERSION_COUNTER)
    .first();
  if (Number(made?.value ?? 0) === PAST_VERSION) return;
  await database.transaction(async (transaction) => {
    await transaction('past_jobs').delete();
    for (let last = ''; ;) {
      const ids: string[] = await transaction('work_orders')
        .where('id', '>', last)
        .orderBy('id')
        .limit(IDS_PER_STATEMENT)
        .pluck('id');
      if (ids.length === 0) break;
      await noteSome(transaction, ids);
      last = ids.at(-1) ?? '';
    }
    await transaction('counters').insert({ name: VERSION_COUNTER, value: PAST_VERSION }).onConflict('name').merge();
  });
}

/**
 * Summarises those of the work orders that are done and keeps it; one that was taken up again is forgotten until it ends
 * anew. Reads what is stored, so it comes after the rows were written.
 *
 * @returns all of them as they are stored
 */
export async function notePast(transaction: Knex, workIds: ReadonlySet<string>): Promise<WorkOrder[]> {
  const ids = [...workIds];
  const works: WorkOrder[] = [];
  for (let start = 0; start < ids.length; start += IDS_PER_STATEMENT) {
    works.push(...(await noteSome(transaction, ids.slice(start, start + IDS_PER_STATEMENT))));
  }
  return works;
}

async function noteSome(transaction: Knex, ids: readonly string[]): Promise<WorkOrder[]> {
  const run = await runnerOf(transaction);
  const stored = await runAmong<{ body: string }>(
    run,
    ids,
    (places) => `SELECT body FROM work_orders WHERE id IN (${places})`,
  );
  const works = stored.map(({ body }) => JSON.parse(body) as WorkOrder);
  await runAmong(run, ids, (places) => `DELETE FROM past_jobs WHERE work_order IN (${places})`);
  const ended = works.filter((work) => doneAt(work) !== null);
  if (ended.length === 0) return works;
  const entriesOf = await entriesByWork(
    transaction,
    ended.map(({ id }) => id),
  );
  const stopsOf = await stopsByWork(
    transaction,
    ended.map(({ id }) => id),
  );
  const named = [...ended, ...[...stopsOf.values()].flat()].map(({ assetId }) => assetId);
  const assets = await assetsNamed(transaction, [...new Set(named)]);
  const rows = ended.flatMap((work) => {
    const machines = (stopsOf.get(work.id) ?? []).flatMap(({ assetId }) => assets.get(assetId) ?? []);
    return pastJobsOf(work, entriesOf.get(work.id) ?? [], machines).map((job) => {
      const id = job.atStop === true ? `${job.id}@${job.assetId}` : job.id;
      // What a round saw there is no job that others of the class could learn from.
      const equipmentClass = job.atStop === true ? '' : (assets.get(job.assetId)?.equipmentClass ?? '');
      return [id, job.id, work.siteId, job.assetId, job.placeId, equipmentClass, job.at, JSON.stringify(job)];
    });
  });
  await insertRows(await runnerOf(transaction), 'past_jobs', columns, rows, 'id');
  return works;
}

/** What is recorded on each of these work orders. */
export const entriesByWork = (transaction: Knex, ids: readonly string[]) => byWork<Entry>(transaction, 'entries', ids);
const stopsByWork = (transaction: Knex, ids: readonly string[]) => byWork<Stop>(transaction, 'stops', ids);

async function byWork<Row extends Entry | Stop>(
  transaction: Knex,
  table: 'entries' | 'stops',
  ids: readonly string[],
): Promise<Map<string, Row[]>> {
  const stored: { body: string }[] = await transaction(table)
    .whereIn('work_order', [...ids])
    .orderBy('id')
    .select('body');
  const found = new Map<string, Row[]>();
  for (const { body } of stored) {
    const row = JSON.parse(body) as Row;
    const before = found.get(row.workOrderId);
    if (before === undefined) found.set(row.workOrderId, [row]);
    else before.push(row);
  }
  return found;
}

async function assetsNamed(transaction: Knex, ids: readonly string[]): Promise<Map<string, Asset>> {
  const found = new Map<string, Asset>();
  for (let start = 0; start < ids.length; start += IDS_PER_STATEMENT) {
    const stored: { body: string }[] = await transaction('assets')
      .whereIn('id', ids.slice(start, start + IDS_PER_STATEMENT))
      .select('body');
    for (const { body } of stored) {
      const asset = JSON.parse(body) as Asset;
      found.set(asset.id, asset);
    }
  }
  return found;
}
