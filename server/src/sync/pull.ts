import { createHash } from 'node:crypto';
import { instantFromMillis, OilcanError, type Instant, type WorkOrderId } from '@oilcan/core/kernel';
import type { Crew, Person } from '@oilcan/core/people';
import type { Change, TableName, Viewer } from '@oilcan/core/records';
import {
  isKnownAt,
  mayLookInto,
  shownTo,
  tableNamed,
  tableNames,
  tablesOfWork,
  visibilityKeyOf,
} from '@oilcan/core/registry';
import { SETTINGS_ID, viewerOf, type Settings } from '@oilcan/core/settings';
import { PROTOCOL, PULL_PAGE_ROWS, type PullAnswer, type Revision } from '@oilcan/core/sync';
import { carriedSince, carriesWholeFor } from '@oilcan/core/work';
import type { Knex } from 'knex';
import { constant, holdsOneOf, isOneOf, isUpTo } from '../db/conditions';
import { currentRevision } from '../db/revisions';
import { audiencesOf, readRow, sqlName, tableOfSqlName, type StoredRow } from '../db/sql-records';

/** What a person may see and carries, and its name: when that changes, the phone begins anew. */
interface Scope {
  readonly name: string;
  readonly siteIds: readonly string[];
  readonly wholeFor: 'all' | readonly string[];
  readonly person: Person;
  readonly viewer: Viewer;
  /** The version of the protocol on which phone and server agreed. */
  readonly version: number;
}

/** The scope of a person in this database, for a phone that speaks a version of the protocol. */
export async function scopeOf(database: Knex, person: Person, version: number = PROTOCOL.newest): Promise<Scope> {
  const identity: { id: string } | undefined = await database('identity').first('id');
  const crews: StoredRow[] = await database<StoredRow>('crews').select('id', 'revision', 'body');
  const carried = carriesWholeFor(
    person,
    crews.map((each): Crew => readRow('crews', each)),
  );
  const wholeFor = carried === 'all' ? carried : [...carried].sort();
  const siteIds = [...person.siteIds].sort();
  const viewer = viewerOf(person, await settingsOf(database));
  // A phone that was brought up to date fetches what it could not know before.
  const named = JSON.stringify([identity?.id, siteIds, wholeFor, [...viewer.mayKnow], version]);
  return {
    name: createHash('sha256').update(named).digest('hex').slice(0, 16),
    siteIds,
    wholeFor,
    person,
    viewer,
    version,
  };
}

async function settingsOf(database: Knex): Promise<Settings | undefined> {
  const stored: StoredRow | undefined = await database<StoredRow>('settings').where('id', SETTINGS_ID).first();
  return stored === undefined ? undefined : readRow('settings', stored);
}

/** A phone that is so many revisions behind begins anew: what it carries is less than what it would look through. */
const FAR_BEHIND = 20_000;
/** The scope of nobody: a phone that hears it fetches everything that it carries once more. */
const ANEW = 'anew';

/** How much is answered at once; smaller in simulations, so that they come upon what is rare. */
export interface PullSizes {
  readonly pageRows: number;
  readonly farBehind: number;
}

interface PullOptions extends PullSizes {
  /** The version of the protocol that the phone and this server agreed on. */
  readonly version: number;
}

/** One page of what changed since a revision, in the order in which it changed, as far as the person may see it. */
export async function pull(
  database: Knex,
  person: Person,
  since: Revision,
  isFilling: boolean,
  nowMillis: number,
  { version = PROTOCOL.newest, pageRows = PULL_PAGE_ROWS, farBehind = FAR_BEHIND }: Partial<PullOptions> = {},
): Promise<PullAnswer> {
  const scope = await scopeOf(database, person, version);
  const now = instantFromMillis(nowMillis);
  const nothing = { changes: [], revision: since, hasMore: false, scope: scope.name, now };
  const behind = (await currentRevision(database)) - since;
  if (behind <= 0) return nothing;
  if (behind > farBehind && since > 0 && !isFilling) return { ...nothing, scope: ANEW };
  const read = async (transaction: Knex.Transaction): Promise<PullAnswer> => {
    const newest = await currentRevision(transaction);
    const found = await readSince(transaction, scope, since, now, isFilling, pageRows + 1);
    const page = found.slice(0, pageRows);
    const hasMore = found.length > pageRows;
    const revision = hasMore ? (page.at(-1)?.revision ?? newest) : newest;
    const changes = page.map(({ change }) => change).filter((change) => isKnownAt(change, version));
    return { changes, revision, hasMore, scope: scope.name, now };
  };
  return database.transaction(read, { readOnly: true });
}

/** A work order of the person's sites with everything recorded on it, whether phones carry it or not. */
export async function readWork(
  database: Knex,
  person: Person,
  id: WorkOrderId,
  version: number = PROTOCOL.newest,
): Promise<{ changes: Change[] }> {
  const stored: StoredRow | undefined = await database<StoredRow>('work_orders')
    .where('id', id)
    .whereIn('site', [...person.siteIds])
    .first();
  if (stored === undefined) throw new OilcanError('not_found', { what: 'work order' });
  const { viewer } = await scopeOf(database, person);
  const changes: Change[] = [{ table: 'workOrders', id, row: readRow('workOrders', stored) }];
  for (const table of tablesOfWork) {
    const rows: StoredRow[] = await database<StoredRow>(sqlName(table)).where('work_order', id).orderBy('id');
    changes.push(
      ...rows.map((each) => ({ table, id: each.id, row: shownTo(table, readRow(table, each), viewer) }) as Change),
    );
  }
  return { changes: changes.filter((change) => isKnownAt(change, version)) };
}

interface Revised {
  readonly revision: Revision;
  readonly change: Change;
}

interface Found extends StoredRow {
  readonly name: string;
}

/** Rows that changed, and those that are gone, up to a limit; in one statement, because it is asked so often. */
async function readSince(
  transaction: Knex.Transaction,
  scope: Scope,
  since: Revision,
  now: Instant,
  isFilling: boolean,
  limit: number,
): Promise<Revised[]> {
  const recentSince = carriedSince(now);
  const pieces = tableNames
    .filter((table) => isPulled(table, scope))
    .map((table) => rowsOf(transaction, table, { scope, since, recentSince, limit, isFilling }));
  if (!isFilling) {
    pieces.push(goneSince(transaction, scope, since, recentSince, limit));
    pieces.push(removalsSince(transaction, scope, since, limit));
  }
  const found: Found[] = await transaction
    .from(transaction.unionAll(pieces.map(subselect(transaction))).as('found'))
    .orderBy('revision')
    .limit(limit)
    .select('name', 'id', 'revision', 'body');
  return found.map((each) => {
    const table = tableOfSqlName(each.name);
    const row = each.body === null ? null : shownTo(table, readRow(table, each), scope.viewer);
    return { revision: Number(each.revision), change: { table, id: each.id, row } as Change };
  });
}

/** Whether rows of a table come to a phone at all. */
function isPulled(table: TableName, { viewer, version }: Scope): boolean {
  const { carried, since } = tableNamed(table);
  return carried !== 'never' && since <= version && mayLookInto(table, viewer);
}

/** A limit within a union needs a statement of its own. */
const subselect =
  (transaction: Knex.Transaction) =>
  (query: Knex.QueryBuilder, index: number): Knex.QueryBuilder =>
    transaction.from(query.as(`piece_${index}`)).select('name', 'id', 'revision', 'body');

interface Asked {
  readonly scope: Scope;
  readonly since: Revision;
  readonly recentSince: Instant;
  readonly limit: number;
  readonly isFilling: boolean;
}

function rowsOf(
  transaction: Knex.Transaction,
  table: TableName,
  { scope, since, recentSince, limit, isFilling }: Asked,
): Knex.QueryBuilder {
  const query = transaction(sqlName(table)).where('revision', '>', since).orderBy('revision').limit(limit);
  // The first rows are found by what is carried; what is new since by its revision, each looked at by itself.
  const name = sqlName(table);
  const { carried } = tableNamed(table);
  if (carried === 'whileCurrent' && isFilling) query.whereIn('id', carriedWork(transaction, scope, recentSince, 'all'));
  else if (carried === 'whileCurrent') query.where((each) => isCarried(each, scope, recentSince));
  else if (carried === 'withWork' && isFilling) {
    query.whereIn('work_order', carriedWork(transaction, scope, recentSince, scope.wholeFor));
  } else if (carried === 'withWork') {
    const work = transaction('work_orders')
      .where('work_orders.id', transaction.ref(`${name}.work_order`))
      .where((each) => isCarried(each, scope, recentSince));
    if (scope.wholeFor !== 'all') work.whereIn('work_orders.id', givenTo(transaction, scope.wholeFor));
    // With its limit it stays a question asked of each row, and is not made into a join that begins with all work.
    query.whereExists(work.select('work_orders.id').limit(1));
  } else ofAudience(query, scope, table);
  return query.select(constant(transaction, sqlName(table), 'name'), 'id', 'revision', 'body');
}

/** Only what the person may see, by the key that says whose the rows of this table are. */
function ofAudience(query: Knex.QueryBuilder, scope: Scope, table: TableName): void {
  const key = visibilityKeyOf(table);
  if (key === null) return;
  const mine = key.column === 'site' || key.column === 'sites' ? scope.siteIds : [scope.person.id];
  if (key.column === 'site') ofSites(query, scope, sqlName(table));
  else if (key.holds === 'one') query.whereIn(key.column, [...mine]);
  // Somebody without a site sees nothing of any.
  else holdsOneOf(query, key.column, mine);
}

/** What is carried among all work: open work and recent work, each found by the index of sites and ends. */
function carriedWork(
  transaction: Knex.Transaction,
  scope: Scope,
  recentSince: Instant,
  givenFor: Scope['wholeFor'],
): Knex.QueryBuilder {
  const some = (): Knex.QueryBuilder => {
    const works = transaction('work_orders')
      .whereIn('site', [...scope.siteIds])
      .select('id');
    return givenFor === 'all' ? works : works.whereIn('id', givenTo(transaction, givenFor));
  };
  return transaction.unionAll([some().whereNull('ended'), some().where('ended', '>', recentSince)]);
}

function givenTo(transaction: Knex.Transaction, assignees: readonly string[]): Knex.QueryBuilder {
  return transaction('assignments')
    .whereIn('assignee', [...assignees])
    .select('work_order');
}

/** Whether one work order is carried, for rows that were found by their revision. */
function isCarried(query: Knex.QueryBuilder, scope: Scope, recentSince: Instant): void {
  ofSites(query, scope, 'work_orders').where((still) =>
    still.whereNull('work_orders.ended').orWhere('work_orders.ended', '>', recentSince),
  );
}

/** Found by revision, and not beginning with all rows of a site. */
function ofSites(query: Knex.QueryBuilder, { siteIds }: Scope, name: string): Knex.QueryBuilder {
  return isOneOf(query, `${name}.site`, siteIds);
}

/**
 * Work that ended so long ago that it is not carried any more, for a phone that was away meanwhile and still has it
 * as open: it is told to let go of it.
 */
function goneSince(
  transaction: Knex.Transaction,
  scope: Scope,
  since: Revision,
  recentSince: Instant,
  limit: number,
): Knex.QueryBuilder {
  const ofMine = ofSites(transaction('work_orders'), scope, 'work_orders').where('revision', '>', since);
  return isUpTo(ofMine, 'ended', recentSince)
    .orderBy('revision')
    .limit(limit)
    .select(constant(transaction, 'work_orders', 'name'), 'id', 'revision', constant(transaction, null, 'body'));
}

function removalsSince(transaction: Knex.Transaction, scope: Scope, since: Revision, limit: number): Knex.QueryBuilder {
  return transaction('removals')
    .where('revision', '>', since)
    .whereIn('audience', audiencesOf(scope.person))
    .orderBy('revision')
    .limit(limit)
    .select('table_name as name', 'id', 'revision', constant(transaction, null, 'body'));
}
