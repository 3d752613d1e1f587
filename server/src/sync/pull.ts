import { createHash } from 'node:crypto';
import {
  carriedSince,
  indexesOf,
  instantFromMillis,
  PULL_PAGE_ROWS,
  tableNames,
  type Change,
  type Instant,
  type Person,
  type PullAnswer,
  type Revision,
  type TableName,
} from '@oilcan/core';
import type { Knex } from 'knex';
import { currentRevision } from '../db/revisions';
import { readRow, sqlName, tableOfSqlName, type StoredRow } from '../db/sql-records';

/** Tables that phones do not carry: the movements behind a stock level are asked for when somebody looks. */
const notCarried: ReadonlySet<TableName> = new Set(['movements']);
/** Tables whose rows belong to a work order and are carried while it is. */
const ofWork: ReadonlySet<TableName> = new Set(['steps', 'entries', 'acknowledgements']);

/** Names what the person may see in this database. */
export async function scopeOf(database: Knex, person: Person): Promise<string> {
  const identity: { id: string } | undefined = await database('identity').first('id');
  const sites = [...person.siteIds].sort().join(' ');
  return createHash('sha256').update(`${identity?.id} ${sites}`).digest('hex').slice(0, 16);
}

/** One page of what changed since a revision, in the order in which it changed, as far as the person may see it. */
export async function pull(
  database: Knex,
  person: Person,
  since: Revision,
  isFilling: boolean,
  nowMillis: number,
  pageRows: number = PULL_PAGE_ROWS,
): Promise<PullAnswer> {
  const scope = await scopeOf(database, person);
  const now = instantFromMillis(nowMillis);
  return database.transaction(async (transaction) => {
    const newest = await currentRevision(transaction);
    if (newest <= since) return { changes: [], revision: since, hasMore: false, scope, now };
    const recentSince = carriedSince(now);
    const found = await readSince(transaction, person, since, recentSince, pageRows + 1);
    if (!isFilling) {
      found.push(...(await goneSince(transaction, person, since, recentSince, pageRows + 1)));
      found.push(...(await removalsSince(transaction, person, since, pageRows + 1)));
    }
    found.sort((a, b) => a.revision - b.revision);
    const page = found.slice(0, pageRows);
    const hasMore = found.length > pageRows;
    const revision = hasMore ? (page.at(-1)?.revision ?? newest) : newest;
    return { changes: page.map(({ change }) => change), revision, hasMore, scope, now };
  });
}

interface Revised {
  readonly revision: Revision;
  readonly change: Change;
}

async function readSince(
  transaction: Knex.Transaction,
  person: Person,
  since: Revision,
  recentSince: Instant,
  limit: number,
): Promise<Revised[]> {
  const carriedWork = (): Knex.QueryBuilder =>
    transaction('work_orders')
      .whereIn('site', [...person.siteIds])
      .where((still) => still.whereNull('ended').orWhere('ended', '>', recentSince))
      .select('id');
  const found: Revised[] = [];
  for (const table of tableNames) {
    if (notCarried.has(table)) continue;
    const query = transaction<StoredRow>(sqlName(table)).where('revision', '>', since).orderBy('revision').limit(limit);
    if (table === 'workOrders') query.whereIn('id', carriedWork());
    else if (ofWork.has(table)) query.whereIn('work_order', carriedWork());
    else if (indexesOf(table).some(([index]) => index === 'site')) query.whereIn('site', [...person.siteIds]);
    const stored: StoredRow[] = await query.select('id', 'revision', 'body');
    for (const each of stored) {
      const change = { table, id: each.id, row: readRow(table, each) } as Change;
      found.push({ revision: Number(each.revision), change });
    }
  }
  return found;
}

/**
 * Work that ended so long ago that it is not carried any more, for a phone that was away meanwhile and still has it
 * as open: it is told to let go of it.
 */
async function goneSince(
  transaction: Knex.Transaction,
  person: Person,
  since: Revision,
  recentSince: Instant,
  limit: number,
): Promise<Revised[]> {
  const gone: { id: string; revision: number | string }[] = await transaction('work_orders')
    .where('revision', '>', since)
    .whereIn('site', [...person.siteIds])
    .where('ended', '<=', recentSince)
    .orderBy('revision')
    .limit(limit)
    .select('id', 'revision');
  return gone.map(({ id, revision }) => ({
    revision: Number(revision),
    change: { table: 'workOrders', id, row: null },
  }));
}

async function removalsSince(
  transaction: Knex.Transaction,
  person: Person,
  since: Revision,
  limit: number,
): Promise<Revised[]> {
  const removals: { table_name: string; id: string; revision: number | string }[] = await transaction('removals')
    .where('revision', '>', since)
    .where((visible) => visible.whereNull('site').orWhereIn('site', [...person.siteIds]))
    .orderBy('revision')
    .limit(limit)
    .select('table_name', 'id', 'revision');
  return removals.map(({ table_name, id, revision }) => ({
    revision: Number(revision),
    change: { table: tableOfSqlName(table_name), id, row: null },
  }));
}
