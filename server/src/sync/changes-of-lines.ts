import type { Instant } from '@oilcan/core/kernel';
import type { Change, Row, TableName, Viewer } from '@oilcan/core/records';
import { isKnownAt, isSeenBy, mayLookInto, shownTo, tableNamed } from '@oilcan/core/registry';
import { isTableNewAfter } from '@oilcan/core/registry/new-after';
import { carriedRows } from '../database/feed/carried-rows';
import type { FeedLine } from '../database/feed/feed-lines';
import { readRow } from '../database/sql-records';
import type { Run } from '../database/statements';

/** Who reads, and how. */
export interface Reading {
  readonly viewer: Viewer;
  /** The version of the protocol that they speak. */
  readonly version: number;
  /** Where a phone has been reading at this version, and wants only what it could not know by it; null for everything. */
  readonly knownAt: number | null;
  readonly now: Instant;
  readonly isFilling: boolean;
  /** Whether they have nothing yet of which it would have to be said that it is gone. */
  readonly isFirst: boolean;
}

type Line = Omit<FeedLine, 'audience'>;

/**
 * What these lines say, with the rows as they are now: the newest line of each row, in their order. A line only says where to look. Whether
 * the row is shown is decided by the row itself, which may have left the person since.
 */
export async function changesOf(run: Run, lines: readonly Line[], reading: Reading): Promise<Change[]> {
  const newest = newestOfEach(lines.filter(({ table }) => isRead(table, reading)));
  const rows = await rowsOf(run, newest, reading.now);
  return newest.flatMap((line) => changeOf(line, rows.get(`${line.table}/${line.id}`), reading));
}

/** Of two lines of one revision, which are for two audiences, the one that brings the row holds. */
function newestOfEach(lines: readonly Line[]): Line[] {
  const newest = new Map<string, Line>();
  for (const line of lines) {
    const key = `${line.table}/${line.id}`;
    const before = newest.get(key);
    if (before !== undefined && before.revision === line.revision && line.isGone) continue;
    newest.delete(key);
    newest.set(key, line);
  }
  return [...newest.values()];
}

function isRead(table: TableName, { viewer, version, knownAt }: Reading): boolean {
  if (tableNamed(table).since > version || !mayLookInto(table, viewer)) return false;
  return knownAt === null || isTableNewAfter(table, knownAt);
}

async function rowsOf(run: Run, lines: readonly Line[], now: Instant): Promise<Map<string, Row>> {
  const wanted = new Map<TableName, string[]>();
  for (const { table, id, isGone } of lines) {
    if (isGone) continue;
    const ids = wanted.get(table) ?? [];
    wanted.set(table, ids);
    ids.push(id);
  }
  const rows = new Map<string, Row>();
  for (const [table, ids] of wanted) {
    for (const stored of await carriedRows(run, table, ids, now))
      rows.set(`${table}/${stored.id}`, readRow(table, stored));
  }
  return rows;
}

function changeOf({ table, id }: Line, row: Row | undefined, reading: Reading): Change[] {
  const { viewer, version, knownAt, now, isFilling, isFirst } = reading;
  if (row === undefined || !isSeenBy(table, row, viewer)) return isFirst ? [] : [{ table, id, row: null }];
  // A phone that has it since lets go of it by itself; one that was away may still have it as it was before its end.
  if (tableNamed(table).isExpired?.(row, now) === true) return isFilling ? [] : [{ table, id, row: null }];
  const change = { table, id, row: shownTo(table, row as never, viewer) } as Change;
  return isKnownAt(change, version) && (knownAt === null || !isKnownAt(change, knownAt)) ? [change] : [];
}
