import type { Change } from '@oilcan/core/records';
import type { WorkOrder } from '@oilcan/core/orders/work';
import type { Knex } from 'knex';
import { insertRows } from '../database/insert-rows';
import { runAmong, runnerOf } from '../database/statements';
import { summariesOf } from './summaries';

const WORKS_AT_ONCE = 400;
const columns = ['id', 'work_order', 'site', 'asset', 'place', 'class', 'at', 'body', 'version'] as const;

/** The work orders whose past these changes may alter. */
export function worksTouchedBy(changes: readonly Change[]): ReadonlySet<string> {
  return new Set(
    changes.flatMap((change): string[] => {
      if (change.table === 'workOrders') return [change.id];
      return change.table === 'entries' && change.row !== null ? [change.row.workOrderId] : [];
    }),
  );
}

/** Where no past is kept yet, that of all work is summarised. What another version summarised is left to `renewPast`. */
export async function bringPastUpToDate(database: Knex): Promise<void> {
  if ((await database('past_jobs').first('id')) !== undefined) return;
  await database.transaction(async (transaction) => {
    for (let last = ''; ;) {
      const ids: string[] = await transaction('work_orders')
        .where('id', '>', last)
        .orderBy('id')
        .limit(WORKS_AT_ONCE)
        .pluck('id');
      if (ids.length === 0) break;
      await noteSome(transaction, ids);
      last = ids.at(-1) ?? '';
    }
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
  for (let start = 0; start < ids.length; start += WORKS_AT_ONCE) {
    works.push(...(await noteSome(transaction, ids.slice(start, start + WORKS_AT_ONCE))));
  }
  return works;
}

async function noteSome(transaction: Knex, ids: readonly string[]): Promise<WorkOrder[]> {
  const run = await runnerOf(transaction);
  await runAmong(run, ids, (places) => `DELETE FROM past_jobs WHERE work_order IN (${places})`);
  const { works, summaries } = await summariesOf(transaction, ids);
  const rows = summaries.map((summary) => columns.map((column) => summary[column]));
  await insertRows(run, 'past_jobs', columns, rows, 'id');
  return works;
}
