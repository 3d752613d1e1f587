import type { Instant } from '@oilcan/core/kernel';
import { amongSeveral, type Change, type TableName } from '@oilcan/core/records';
import { mayLookInto, shownTo, tableNamed, tableNames, visibilityKeyOf } from '@oilcan/core/registry';
import type { Revision } from '@oilcan/core/sync';
import { carriedSince } from '@oilcan/core/work';
import { audiencesOf, readRow, sqlName, tableOfSqlName, type StoredRow } from '../database/sql-records';
import { places, type Run, type Value } from '../database/statements';
import type { Scope } from './scope';

/** What a phone asks for: what changed since a revision, or everything that it carries while it fills. */
interface Asked {
  readonly scope: Scope;
  readonly since: Revision;
  readonly now: Instant;
  readonly isFilling: boolean;
  /** Rows at most. */
  readonly limit: number;
}

/** A condition, or a whole statement, with its values in their order. */
interface Sql {
  readonly text: string;
  readonly values: readonly Value[];
}

interface Revised {
  readonly revision: Revision;
  readonly change: Change;
}

/**
 * Rows that changed, and those that are gone, in the order in which they changed. Each table is asked by itself: its statement
 * is always the same text, which the database has prepared, and most have nothing new.
 */
export async function rowsSince(run: Run, asked: Asked): Promise<Revised[]> {
  const found: Revised[] = [];
  for (const table of tableNames) {
    if (!isPulled(table, asked.scope)) continue;
    const { text, values } = newRowsOf(table, asked);
    for (const stored of await run<StoredRow>(text, values)) {
      const row = shownTo(table, readRow(table, stored), asked.scope.viewer);
      found.push({ revision: Number(stored.revision), change: { table, id: stored.id, row } as Change });
    }
  }
  if (!asked.isFilling) found.push(...(await finishedLongAgo(run, asked)), ...(await removals(run, asked)));
  return found.sort((a, b) => a.revision - b.revision).slice(0, asked.limit);
}

/** Whether rows of a table come to a phone at all. */
function isPulled(table: TableName, { viewer, version }: Scope): boolean {
  const { carried, since } = tableNamed(table);
  return carried !== 'never' && since <= version && mayLookInto(table, viewer);
}

function newRowsOf(table: TableName, asked: Asked): Sql {
  const { text, values } = mayHave(table, asked);
  return {
    text: `SELECT id, revision, body FROM ${sqlName(table)} WHERE revision > ? AND ${text} ORDER BY revision LIMIT ?`,
    values: [asked.since, ...values, asked.limit],
  };
}

/** Which rows of a table the person may see, and carries. */
function mayHave(table: TableName, { scope, now, isFilling }: Asked): Sql {
  const name = sqlName(table);
  const { carried } = tableNamed(table);
  // The first rows are found by what is carried; what is new since by its revision, each looked at by itself.
  if (typeof carried === 'object') {
    const isOfWork = table === 'workOrders' && isFilling;
    return isOfWork ? among('id', carriedWork(scope, now, 'all')) : isCarried(name, scope, now, carried.daysAfterEnd);
  }
  switch (carried) {
    case 'withWork':
      return isFilling ? among('work_order', carriedWork(scope, now, scope.wholeFor)) : isOnCarried(name, scope, now);
    default:
      return isForAudience(table, scope);
  }
}

const among = (column: string, { text, values }: Sql): Sql => ({ text: `${column} IN (${text})`, values });

const isOneOf = (column: string, values: readonly string[]): Sql => ({
  text: values.length === 0 ? '1 = 0' : `${column} IN (${places(values.length)})`,
  values,
});

const both = (one: Sql, other: Sql): Sql => ({
  text: `${one.text} AND ${other.text}`,
  values: [...one.values, ...other.values],
});

/** Found by revision: written so that no index of the site tempts the database to begin with all rows of a site. */
const isOfSites = (name: string, { siteIds }: Scope): Sql => isOneOf(`coalesce(${name}.site, '')`, siteIds);

/** By the key that says whose the rows of this table are. Somebody without a site sees nothing of any. */
function isForAudience(table: TableName, scope: Scope): Sql {
  const key = visibilityKeyOf(table);
  if (key === null) return { text: '1 = 1', values: [] };
  if (key.column === 'site') return isOfSites(sqlName(table), scope);
  const column = sqlName(key.column);
  const mine = key.column === 'sites' ? scope.siteIds : [scope.person.id];
  if (key.holds === 'one') return isOneOf(column, mine);
  if (mine.length === 0) return { text: '1 = 0', values: [] };
  const any = mine.map(() => `${column} LIKE ? ESCAPE '\\'`).join(' OR ');
  return { text: `(${any})`, values: mine.map(amongSeveral) };
}

/** What is carried among all work: open work and recent work, each found by the index of sites and ends. */
function carriedWork(scope: Scope, now: Instant, givenFor: Scope['wholeFor']): Sql {
  const mine = isOneOf('site', scope.siteIds);
  const of = givenFor === 'all' ? mine : both(mine, isGivenTo('id', givenFor));
  const works = `SELECT id FROM work_orders WHERE ${of.text}`;
  return {
    text: `${works} AND ended IS NULL UNION ALL ${works} AND ended > ?`,
    values: [...of.values, ...of.values, carriedSince(now)],
  };
}

function isGivenTo(column: string, assignees: readonly string[]): Sql {
  const { text, values } = isOneOf('assignee', assignees);
  return among(column, { text: `SELECT work_order FROM assignments WHERE ${text}`, values });
}

/** Whether what has an end is carried, for rows that were found by their revision. */
function isCarried(name: string, scope: Scope, now: Instant, daysAfterEnd?: number): Sql {
  const isRecent = { text: `(${name}.ended IS NULL OR ${name}.ended > ?)`, values: [carriedSince(now, daysAfterEnd)] };
  return both(isOfSites(name, scope), isRecent);
}

/** Whether the work order of a row is carried with all that was recorded on it. */
function isOnCarried(name: string, scope: Scope, now: Instant): Sql {
  const carried = isCarried('work', scope, now);
  const of = scope.wholeFor === 'all' ? carried : both(carried, isGivenTo('work.id', scope.wholeFor));
  // With its limit it stays a question asked of each row, and is not made into a join that begins with all work.
  return {
    text: `EXISTS (SELECT 1 FROM work_orders AS work WHERE work.id = ${name}.work_order AND ${of.text} LIMIT 1)`,
    values: of.values,
  };
}

/**
 * What ended so long ago that it is not carried any more, for a phone that was away meanwhile and still has it
 * as open: it is told to let go of it.
 */
async function finishedLongAgo(run: Run, { scope, since, now, limit }: Asked): Promise<Revised[]> {
  const found: Revised[] = [];
  for (const table of tableNames) {
    const { carried } = tableNamed(table);
    if (typeof carried !== 'object' || !isPulled(table, scope)) continue;
    const name = sqlName(table);
    const mine = isOfSites(name, scope);
    const gone = await run<Pick<StoredRow, 'id' | 'revision'>>(
      `SELECT id, revision FROM ${name}
        WHERE revision > ? AND ${mine.text} AND coalesce(ended, '~') <= ? ORDER BY revision LIMIT ?`,
      [since, ...mine.values, carriedSince(now, carried.daysAfterEnd), limit],
    );
    found.push(...gone.map(({ id, revision }) => letGo(table, id, revision)));
  }
  return found;
}

async function removals(run: Run, { scope, since, limit }: Asked): Promise<Revised[]> {
  const mine = isOneOf('audience', audiencesOf(scope.person));
  const gone = await run<Pick<StoredRow, 'id' | 'revision'> & { readonly name: string }>(
    `SELECT table_name AS name, id, revision FROM removals
      WHERE revision > ? AND ${mine.text} ORDER BY revision LIMIT ?`,
    [since, ...mine.values, limit],
  );
  return gone.map(({ name, id, revision }) => letGo(tableOfSqlName(name), id, revision));
}

const letGo = (table: TableName, id: string, revision: number | string): Revised => ({
  revision: Number(revision),
  change: { table, id, row: null },
});
