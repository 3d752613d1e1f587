import type { Revision } from '@oilcan/core/sync';
import type { TableName } from '@oilcan/core/records';
import { insertRows } from '../insert-rows';
import { sqlName, tableOfSqlName } from '../sql-names';
import { places, runAmong, type Run } from '../statements';
import type { Audience } from './audiences';

/** That a row changed for an audience under a revision, or left it. */
export interface FeedLine {
  readonly audience: Audience;
  readonly revision: Revision;
  readonly table: TableName;
  readonly id: string;
  readonly isGone: boolean;
}

interface StoredLine {
  readonly revision: number | string;
  readonly name: string;
  readonly id: string;
  readonly gone: number;
}

const columns = ['audience', 'revision', 'table_name', 'id', 'is_gone'];

/** Adds lines. A row has several in time; the newest holds, and the others are folded away by night. */
export async function addFeedLines(run: Run, lines: readonly FeedLine[]): Promise<void> {
  const rows = lines.map(({ audience, revision, table, id, isGone }) => [
    audience,
    revision,
    sqlName(table),
    id,
    isGone ? 1 : 0,
  ]);
  await insertRows(run, 'feed', columns, rows, null);
}

/** Takes every line of these rows away from an audience, which lets go of the rows by itself. */
export async function dropFeedLines(
  run: Run,
  audience: Audience,
  table: TableName,
  ids: readonly string[],
): Promise<void> {
  await runAmong(run, ids, (some) => `DELETE FROM feed WHERE audience = ? AND table_name = ? AND id IN (${some})`, [
    audience,
    sqlName(table),
  ]);
}

/** Lines after a revision, as many as were asked for, in the order of their revisions. */
export interface FeedPage {
  readonly lines: readonly Omit<FeedLine, 'audience'>[];
  /** Whether there are others after them. */
  readonly hasMore: boolean;
}

/** Lines of one revision are never on two pages: the next page begins after the last revision of this one. */
export async function feedAfter(
  run: Run,
  audiences: readonly Audience[],
  since: Revision,
  limit: number,
): Promise<FeedPage> {
  if (audiences.length === 0) return { lines: [], hasMore: false };
  const wanted = limit + 1;
  const found = await run<StoredLine>(textFor(audiences.length), [
    ...audiences.flatMap((audience) => [audience, since, wanted]),
    wanted,
  ]);
  const lines = found.map(({ revision, name, id, gone }) => ({
    revision: Number(revision),
    table: tableOfSqlName(name),
    id,
    isGone: gone === 1,
  }));
  if (lines.length < wanted) return { lines, hasMore: false };
  const last = lines.at(-1)?.revision;
  const whole = lines.filter(({ revision }) => revision !== last);
  return whole.length > 0 ? { lines: whole, hasMore: true } : feedAfter(run, audiences, since, limit * 2);
}

const texts = new Map<number, string>();

/** Each audience is a range of the index of its own, of which no more is read than may be wanted. */
function textFor(audiences: number): string {
  const known = texts.get(audiences);
  if (known !== undefined) return known;
  const ofOne = `SELECT revision, table_name AS name, id, is_gone AS gone FROM feed
    WHERE audience = ? AND revision > ? ORDER BY revision LIMIT ?`;
  const each = Array.from({ length: audiences }, (_, index) => `SELECT * FROM (${ofOne}) AS audience_${index + 1}`);
  const made = `${each.join(' UNION ALL ')} ORDER BY revision LIMIT ?`;
  texts.set(audiences, made);
  return made;
}

/** Up to which revision lines were dropped for good of which one of these audiences may not have heard; 0 for none. */
export async function feedFloor(run: Run, audiences: readonly Audience[]): Promise<Revision> {
  if (audiences.length === 0) return 0;
  const [found] = await run<{ floor: number | string | null }>(
    `SELECT MAX(revision) AS floor FROM feed_floors WHERE audience IN (${places(audiences.length)})`,
    audiences,
  );
  return Number(found?.floor ?? 0);
}
