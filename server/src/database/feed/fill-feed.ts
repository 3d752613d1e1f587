import type { Instant } from '@oilcan/core/kernel';
import type { Row, TableName } from '@oilcan/core/records';
import { tableNamed, tableNames, tablesOfWork } from '@oilcan/core/registry';
import { isReplicated } from '@oilcan/core/orders/work';
import type { Knex } from 'knex';
import { insertRows } from '../insert-rows';
import { readRow, type StoredRow } from '../sql-records';
import { sqlName } from '../sql-names';
import { runAmong, runnerOf, type Run } from '../statements';
import { audiencesOfRow, audiencesOfWork, type Audience } from './audiences';
import { addFeedLines, type FeedLine } from './feed-lines';

const FILLED = 'feed_filled';
const ROWS_AT_ONCE = 500;

/**
 * The rows of a database that an Oilcan before the feed wrote get their lines, under the revisions that they have: so phones go on from
 * where they are. Done once; whatever is written since has its lines from the beginning.
 */
export async function fillFeed(database: Knex, now: Instant): Promise<void> {
  const filled: object | undefined = await database('counters').where('name', FILLED).first();
  if (filled !== undefined) return;
  await database.transaction(async (transaction) => {
    const run = await runnerOf(transaction);
    for (const table of tableNames) if (isNotedByRow(table)) await fillTable(run, table, now);
    await fillOfWork(run, now);
    await transaction('counters').insert({ name: FILLED, value: 1 });
  });
}

const isNotedByRow = (table: TableName): boolean =>
  !['never', 'withWork'].includes(String(tableNamed(table).replicated));

/** What has ended long ago is noted as gone, for phones that still have it as open. */
async function fillTable(run: Run, table: TableName, now: Instant): Promise<void> {
  const { isExpired } = tableNamed(table);
  for await (const rows of inBatches(run, sqlName(table))) {
    const lines = rows.flatMap((stored): FeedLine[] => {
      const row: Row = readRow(table, stored);
      const isGone = isExpired?.(row, now) ?? false;
      const revision = Number(stored.revision);
      return audiencesOfRow(table, row).map((audience) => ({ audience, revision, table, id: stored.id, isGone }));
    });
    await addFeedLines(run, lines);
  }
}

async function fillOfWork(run: Run, now: Instant): Promise<void> {
  for await (const stored of inBatches(run, 'work_orders')) {
    const works = stored.map((each) => readRow('workOrders', each)).filter((work) => isReplicated(work, now));
    const audiences = new Map(works.map((work) => [work.id as string, audiencesOfWork(work)]));
    const noted = [...audiences].flatMap(([id, of]) => of.map((audience) => [id, audience]));
    await insertRows(run, 'work_audiences', ['work_order', 'audience'], noted, null);
    for (const table of tablesOfWork) await fillOnWork(run, table, audiences);
  }
}

async function fillOnWork(run: Run, table: TableName, of: ReadonlyMap<string, readonly Audience[]>): Promise<void> {
  const rows = await runAmong<{ id: string; revision: number | string; work: string }>(
    run,
    [...of.keys()],
    (some) => `SELECT id, revision, work_order AS work FROM ${sqlName(table)} WHERE work_order IN (${some})`,
  );
  const lines = rows.flatMap(({ id, revision, work }) =>
    (of.get(work) ?? []).map((audience) => ({ audience, revision: Number(revision), table, id, isGone: false })),
  );
  await addFeedLines(run, lines);
}

async function* inBatches(run: Run, table: string): AsyncGenerator<readonly StoredRow[]> {
  for (let last = ''; ;) {
    const rows = await run<StoredRow>(
      `SELECT id, revision, body FROM ${table} WHERE id > ? ORDER BY id LIMIT ${ROWS_AT_ONCE}`,
      [last],
    );
    if (rows.length === 0) return;
    yield rows;
    last = rows.at(-1)?.id ?? '';
  }
}
