import type { PastJob } from '@oilcan/core/past';
import type { Change } from '@oilcan/core/records';
import { PAST_CONTENT, pastJobOf } from '@oilcan/core/registry';
import { doneAt, type Entry, type WorkOrder } from '@oilcan/core/work';
import { createHash } from 'node:crypto';
import type { Knex } from 'knex';
import { insertRows } from '../db/insert-rows';
import { runAmong, runnerOf } from '../db/statements';

const IDS_PER_STATEMENT = 400;
const columns = ['id', 'site', 'asset', 'place', 'class', 'at', 'body'] as const;

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
 */
export async function notePast(transaction: Knex, workIds: ReadonlySet<string>): Promise<void> {
  const ids = [...workIds];
  for (let start = 0; start < ids.length; start += IDS_PER_STATEMENT) {
    await noteSome(transaction, ids.slice(start, start + IDS_PER_STATEMENT));
  }
}

async function noteSome(transaction: Knex, ids: readonly string[]): Promise<void> {
  const run = await runnerOf(transaction);
  const stored = await runAmong<{ body: string }>(
    run,
    ids,
    (places) => `SELECT body FROM work_orders WHERE id IN (${places})`,
  );
  const works = stored.map(({ body }) => JSON.parse(body) as WorkOrder);
  const open = works.filter((work) => doneAt(work) === null).map(({ id }) => id);
  await runAmong(run, open, (places) => `DELETE FROM past_jobs WHERE id IN (${places})`);
  const ended = works.filter((work) => doneAt(work) !== null);
  if (ended.length === 0) return;
  const entriesOf = await entriesByWork(
    transaction,
    ended.map(({ id }) => id),
  );
  const classOf = await classesOf(transaction, [...new Set(ended.map(({ assetId }) => assetId))]);
  const rows = ended.map((work) => {
    const job: PastJob = pastJobOf(work, entriesOf.get(work.id) ?? []);
    const equipmentClass = classOf.get(work.assetId) ?? '';
    return [job.id, work.siteId, job.assetId, job.placeId, equipmentClass, job.at, JSON.stringify(job)];
  });
  await insertRows(await runnerOf(transaction), 'past_jobs', columns, rows, 'id');
}

async function entriesByWork(transaction: Knex, ids: readonly string[]): Promise<Map<string, Entry[]>> {
  const stored: { body: string }[] = await transaction('entries')
    .whereIn('work_order', [...ids])
    .orderBy('id')
    .select('body');
  const byWork = new Map<string, Entry[]>();
  for (const { body } of stored) {
    const entry = JSON.parse(body) as Entry;
    const before = byWork.get(entry.workOrderId);
    if (before === undefined) byWork.set(entry.workOrderId, [entry]);
    else before.push(entry);
  }
  return byWork;
}

async function classesOf(transaction: Knex, assetIds: readonly string[]): Promise<Map<string, string>> {
  const stored: { id: string; body: string }[] = await transaction('assets')
    .whereIn('id', [...assetIds])
    .select('id', 'body');
  return new Map(stored.map(({ id, body }) => [id, (JSON.parse(body) as { equipmentClass: string }).equipmentClass]));
}
