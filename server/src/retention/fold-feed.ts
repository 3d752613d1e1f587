import { addMinutes, type Instant } from '@oilcan/core/kernel';
import type { TableName } from '@oilcan/core/records';
import { tableNamed } from '@oilcan/core/registry';
import { carriedSince } from '@oilcan/core/orders/work';
import type { Knex } from 'knex';
import { carriedRows } from '../database/feed/carried-rows';
import type { Audience } from '../database/feed/audiences';
import { feedAfter, type FeedLine } from '../database/feed/feed-lines';
import { currentRevision } from '../database/revisions';
import { sqlName } from '../database/sql-names';
import { readRow } from '../database/sql-records';
import { runnerOf, type Run, type Value } from '../database/statements';
import { ROWS_PER_STEP, type Retention } from './retention';

/** For so long a phone that was away is told what went; after it, it begins anew where something did. */
const TOLD_GONE_DAYS = 60;
const LINES_READ = 1_000;

type Line = Omit<FeedLine, 'audience'>;

/**
 * Of each row the newest line stays, for as long as phones carry the row; then a line that says that it is gone, for phones that were
 * away; and then nothing.
 */
export const foldFeed: Retention = {
  name: 'feed',
  async *steps(database, now) {
    await noteDay(database, now);
    yield* forgetAudiences(database, now);
    const horizon = await revisionOfDay(database, dayOf(addMinutes(now, -TOLD_GONE_DAYS * 24 * 60)));
    for (let audience = ''; ;) {
      const next: { audience: Audience } | undefined = await database('feed')
        .where('audience', '>', audience)
        .orderBy('audience')
        .first('audience');
      if (next === undefined) return;
      audience = next.audience;
      yield* foldAudience(database, audience, horizon, now);
    }
  },
};

const dayOf = (at: Instant): string => at.slice(0, 10);

/** How far the database was on which day: what tells how old a line is. */
async function noteDay(database: Knex, now: Instant): Promise<void> {
  const revision = await currentRevision(database);
  await database('feed_days')
    .insert({ day: dayOf(now), revision })
    .onConflict('day')
    .merge();
  const passed = dayOf(addMinutes(now, -2 * TOLD_GONE_DAYS * 24 * 60));
  await database('feed_days').where('day', '<', passed).delete();
}

/** The newest revision that is at least as old as this day; 0 where nothing is known of it. */
async function revisionOfDay(database: Knex, day: string): Promise<number> {
  const [noted]: { revision: number | string | null }[] = await database('feed_days')
    .where('day', '<=', day)
    .max({ revision: 'revision' });
  return Number(noted?.revision ?? 0);
}

/**
 * Work that ended long ago has no audiences any more. Before its lines go: whoever opens the work again in between gives it audiences, and with
 * them new lines.
 */
async function* forgetAudiences(database: Knex, now: Instant): AsyncGenerator<number> {
  for (;;) {
    const works: string[] = await database('work_audiences')
      .join('work_orders', 'work_orders.id', 'work_audiences.work_order')
      .where('work_orders.ended', '<=', carriedSince(now))
      .distinct('work_audiences.work_order')
      .limit(ROWS_PER_STEP)
      .pluck('work_audiences.work_order');
    if (works.length === 0) return;
    yield await database('work_audiences')
      .whereIn('work_order', works)
      .whereIn('work_order', database('work_orders').where('ended', '<=', carriedSince(now)).select('id'))
      .delete();
  }
}

async function* foldAudience(
  database: Knex,
  audience: Audience,
  horizon: number,
  now: Instant,
): AsyncGenerator<number> {
  const newest = new Map<string, Line>();
  for (let since = 0; ;) {
    const page = await database.transaction(
      async (transaction) => {
        const run = await runnerOf(transaction);
        const { lines, hasMore } = await feedAfter(run, [audience], since, LINES_READ);
        return { lines, hasMore, carried: await carriedAmong(run, lines, now) };
      },
      { readOnly: true },
    );
    const superseded: Line[] = [];
    for (const line of page.lines) {
      const before = newest.get(keyOf(line));
      if (before !== undefined) superseded.push(before);
      newest.set(keyOf(line), line);
    }
    const current = page.lines.filter((line) => newest.get(keyOf(line)) === line);
    const ended = current.filter((line) => !line.isGone && !page.carried.has(keyOf(line)));
    // What belongs to work, phones let go of with it.
    const dropped = [...superseded, ...ended.filter(({ table }) => tableNamed(table).replicated === 'withWork')];
    const gone = ended.filter(({ table }) => tableNamed(table).replicated !== 'withWork');
    const forgotten = current.filter(({ isGone, revision }) => isGone && revision <= horizon);
    yield* inSteps(database, [...dropped, ...forgotten], (run, line) => dropLine(run, audience, line));
    yield* inSteps(database, gone, (run, line) => markGone(run, audience, line));
    const floor = forgotten.at(-1)?.revision;
    if (floor !== undefined)
      await database('feed_floors').insert({ audience, revision: floor }).onConflict('audience').merge();
    if (!page.hasMore) return;
    since = page.lines.at(-1)?.revision ?? since;
  }
}

const keyOf = ({ table, id }: Line): string => `${table}/${id}`;

/** Of the rows that these lines bring, those that phones carry. */
async function carriedAmong(run: Run, lines: readonly Line[], now: Instant): Promise<Set<string>> {
  const wanted = new Map<TableName, Set<string>>();
  for (const { table, id, isGone } of lines) if (!isGone) wanted.set(table, (wanted.get(table) ?? new Set()).add(id));
  const carried = new Set<string>();
  for (const [table, ids] of wanted) {
    const { isExpired } = tableNamed(table);
    for (const stored of await carriedRows(run, table, [...ids], now))
      if (isExpired === null || !isExpired(readRow(table, stored), now)) carried.add(`${table}/${stored.id}`);
  }
  return carried;
}

async function* inSteps(
  database: Knex,
  lines: readonly Line[],
  change: (run: Run, line: Line) => Promise<void>,
): AsyncGenerator<number> {
  for (let start = 0; start < lines.length; start += ROWS_PER_STEP) {
    const some = lines.slice(start, start + ROWS_PER_STEP);
    await database.transaction(async (transaction) => {
      const run = await runnerOf(transaction);
      for (const line of some) await change(run, line);
    });
    yield some.length;
  }
}

const THIS_LINE = 'audience = ? AND revision = ? AND table_name = ? AND id = ?';

const placeOf = (audience: Audience, { revision, table, id }: Line): Value[] => [
  audience,
  revision,
  sqlName(table),
  id,
];

async function dropLine(run: Run, audience: Audience, line: Line): Promise<void> {
  await run(`DELETE FROM feed WHERE ${THIS_LINE}`, placeOf(audience, line));
}

async function markGone(run: Run, audience: Audience, line: Line): Promise<void> {
  await run(`UPDATE feed SET is_gone = 1 WHERE ${THIS_LINE}`, placeOf(audience, line));
}
