import type { Asset } from '@oilcan/core/plant/plant';
import { PAST_CONTENT, pastJobsOf } from '@oilcan/core/registry';
import type { Stop } from '@oilcan/core/steps/rounds';
import { doneAt, type Entry, type WorkOrder } from '@oilcan/core/orders/work';
import { createHash } from 'node:crypto';
import type { Knex } from 'knex';
import { runAmong, runnerOf } from '../database/statements';

const IDS_PER_STATEMENT = 400;

/** A number for what a `PastJob` holds: a row of another one was summarised by another version of the program. */
export const PAST_VERSION = createHash('sha256').update(PAST_CONTENT).digest().readUIntBE(0, 6);

/** A `PastJob` as it is stored. */
export interface Summary {
  readonly id: string;
  readonly work_order: string;
  readonly site: string;
  readonly asset: string;
  readonly place: string;
  readonly class: string;
  readonly at: string;
  readonly body: string;
  readonly version: number;
}

/** What these work orders are in the past of their machines; of those that have not ended, nothing. Reads what is stored. */
export async function summariesOf(
  database: Knex,
  ids: readonly string[],
): Promise<{ readonly works: WorkOrder[]; readonly summaries: Summary[] }> {
  const stored = await runAmong<{ body: string }>(
    await runnerOf(database),
    ids,
    (places) => `SELECT body FROM work_orders WHERE id IN (${places})`,
  );
  const works = stored.map(({ body }) => JSON.parse(body) as WorkOrder);
  const ended = works.filter((work) => doneAt(work) !== null);
  if (ended.length === 0) return { works, summaries: [] };
  const endedIds = ended.map(({ id }) => id);
  const entriesOf = await entriesByWork(database, endedIds);
  const stopsOf = await stopsByWork(database, endedIds);
  const named = [...ended, ...[...stopsOf.values()].flat()].map(({ assetId }) => assetId);
  const assets = await assetsNamed(database, [...new Set(named)]);
  const summaries = ended.flatMap((work) => {
    const machines = (stopsOf.get(work.id) ?? []).flatMap(({ assetId }) => assets.get(assetId) ?? []);
    return pastJobsOf(work, entriesOf.get(work.id) ?? [], machines).map((job): Summary => {
      const isStop = job.atStop === true;
      return {
        id: isStop ? `${job.id}@${job.assetId}` : job.id,
        work_order: job.id,
        site: work.siteId,
        asset: job.assetId,
        place: job.placeId,
        // What a round saw there is no job that others of the class could learn from.
        class: isStop ? '' : (assets.get(job.assetId)?.equipmentClass ?? ''),
        at: job.at,
        body: JSON.stringify(job),
        version: PAST_VERSION,
      };
    });
  });
  return { works, summaries };
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
