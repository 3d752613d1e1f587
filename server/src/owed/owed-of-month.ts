import { addMinutes, type Instant } from '@oilcan/core/kernel';
import { everythingMust, owedBefore, recordedOn, thingOwed } from '@oilcan/core/finishing/lifecycle';
import { doneAt, type OwedThing, type WorkKind, type WorkOrder } from '@oilcan/core/orders/work';
import type { Knex } from 'knex';
import { readRow, SqlRecords, type StoredRow } from '../database/sql-records';

const MONTH_MINUTES = 30 * 24 * 60;
/** Of more jobs the newest are looked at. */
const MOST_JOBS = 120;

/**
 * Of every job of a kind that was finished in the last thirty days on these sites, the newest first: what was not given, had all of
 * it been wanted. Whoever chooses what is owed sees by it what their choice would have asked for.
 */
export function missingOfMonth(
  database: Knex,
  siteIds: readonly string[],
  kind: WorkKind,
  now: Instant,
): Promise<OwedThing[][]> {
  const since = addMinutes(now, -MONTH_MINUTES);
  return database.transaction(async (transaction) => {
    const stored: StoredRow[] = await transaction('work_orders')
      .whereIn('site', [...siteIds])
      .where((which) => which.whereNull('ended').orWhere('ended', '>=', since))
      .select('body');
    const works = stored
      .map((row) => readRow('workOrders', row))
      .filter((work) => work.kind === kind && work.state !== 'dropped' && (doneAt(work) ?? '') >= since)
      .sort((a, b) => ((doneAt(a) ?? '') < (doneAt(b) ?? '') ? 1 : -1))
      .slice(0, MOST_JOBS);
    const records = new SqlRecords(transaction);
    const missing: OwedThing[][] = [];
    for (const work of works) missing.push(await missingOn(records, work));
    return missing;
  });
}

async function missingOn(records: SqlRecords, work: WorkOrder): Promise<OwedThing[]> {
  const by = work.finishedBy ?? work.personIds[0];
  if (by === undefined) return [];
  const owed = owedBefore(by, await recordedOn(records, work), everythingMust);
  return [...new Set(owed.filter(({ demand }) => demand === 'must').map(thingOwed))];
}
