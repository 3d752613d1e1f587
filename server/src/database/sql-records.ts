import type { Instant } from '@oilcan/core/kernel';
import {
  anyTable,
  type Change,
  type IndexName,
  type Records,
  type Row,
  type TableName,
  type Tables,
  type TableSet,
} from '@oilcan/core/records';
import { tableNamed, tables, tablesOfWork } from '@oilcan/core/registry';
import type { WorkOrder } from '@oilcan/core/orders/work';
import type { Knex } from 'knex';
import { audiencesOfRow, type Audience } from './feed/audiences';
import { addFeedLines, dropFeedLines, type FeedLine } from './feed/feed-lines';
import { governsScopes, noteScopesChanged } from './feed/scopes-changed';
import { rowsOfWorks, WorkAudiences, type MovedWork, type RowOfWork, type WrittenWork } from './feed/work-audiences';
import { insertRows } from './insert-rows';
import { takeRevisions } from './revisions';
import { sqlName } from './sql-names';
import { runAmong, runnerOf, type Run } from './statements';

/** A row of any record table as SQL holds it. */
export interface StoredRow {
  readonly id: string;
  readonly revision: number | string;
  readonly body: string;
}

/** The row out of its stored form. */
export function readRow<T extends TableName>(_table: T, stored: StoredRow): Tables[T] {
  return JSON.parse(stored.body) as Tables[T];
}

/** Records in SQL, within one transaction. Every row written takes the next revision. */
export class SqlRecords implements Records {
  readonly tables: TableSet = tables;
  readonly #transaction: Knex.Transaction;
  readonly #now: Instant | null;
  /** Whom what was written concerns. */
  readonly #audience = new Set<Audience>();

  #runner: Promise<Run> | undefined;

  /** @param now given where much of the past is written, of which no phone need hear what it would let go of at once */
  constructor(transaction: Knex.Transaction, now: Instant | null = null) {
    this.#transaction = transaction;
    this.#now = now;
  }

  get #run(): Promise<Run> {
    this.#runner ??= runnerOf(this.#transaction);
    return this.#runner;
  }

  get audience(): ReadonlySet<Audience> {
    return this.#audience;
  }

  async get<T extends TableName>(table: T, id: string): Promise<Tables[T] | undefined> {
    const run = await this.#run;
    const [stored] = await run<StoredRow>(`SELECT body FROM ${sqlName(table)} WHERE id = ?`, [id]);
    return stored === undefined ? undefined : readRow(table, stored);
  }

  /** The rows with these ids, those that exist, in no order. */
  async getMany<T extends TableName>(table: T, ids: readonly string[]): Promise<Tables[T][]> {
    const name = sqlName(table);
    const among = (places: string): string => `SELECT body FROM ${name} WHERE id IN (${places})`;
    const stored = await runAmong<StoredRow>(await this.#run, ids, among);
    return stored.map((each) => readRow(table, each));
  }

  async list<T extends TableName>(table: T, index: IndexName<T>, key: string): Promise<readonly Tables[T][]> {
    const run = await this.#run;
    const text = `SELECT body FROM ${sqlName(table)} WHERE ${sqlName(index)} = ? ORDER BY id`;
    const stored = await run<StoredRow>(text, [key]);
    return stored.map((each) => readRow(table, each));
  }

  put<T extends TableName>(table: T, row: Tables[T]): Promise<void> {
    return this.write([{ table, id: row.id, row } as Change]);
  }

  remove(table: TableName, id: string): Promise<void> {
    return this.write([{ table, id, row: null }]);
  }

  /** Carries out many changes with few statements, and notes for each whom it concerns. Of a row that is named twice, the last holds. */
  async write(given: readonly Change[]): Promise<void> {
    if (given.length === 0) return;
    const run = await this.#run;
    const changes = [...new Map(given.map((change) => [keyOf(change), change])).values()];
    const before = await this.#rowsBefore(changes);
    const works = await this.#workAudiences(changes, before);
    const planned = changes.map((change) => this.#planned(change, before.get(keyOf(change)), works));
    const written = new Set(changes.map(keyOf));
    const moved = await movesOf(run, works.moved, written);

    const count = sumOf(planned.map(({ leaves, stands }) => leaves.length + stands)) + moved.length;
    let revision = count === 0 ? 0 : (await takeRevisions(run, count)) - count;
    const lines: FeedLine[] = [];
    const rows = new Map<TableName, StoredChange[]>();
    for (const { change, leaves, stands, audiences } of planned) {
      const { table, id, row } = change;
      // Whom a row leaves is told just before the others hear what it is now.
      for (const audience of leaves) lines.push({ audience, revision: (revision += 1), table, id, isGone: true });
      if (stands === 0) continue;
      revision += 1;
      for (const audience of audiences) lines.push({ audience, revision, table, id, isGone: row === null });
      const ofTable = rows.get(table) ?? [];
      rows.set(table, ofTable);
      ofTable.push({ ...change, revision });
    }
    for (const { audiences, table, id } of moved) {
      revision += 1;
      for (const audience of audiences) lines.push({ audience, revision, table, id, isGone: false });
    }
    for (const [table, ofTable] of rows) await this.#store(run, table, ofTable);
    await addFeedLines(run, lines);
    for (const { audience } of lines) this.#audience.add(audience);
    if (changes.some(({ table }) => governsScopes(table))) await noteScopesChanged(run, revision);
  }

  /** Rows that go, and those of which somebody may lose sight, as they are until now. */
  async #rowsBefore(changes: readonly Change[]): Promise<Map<string, Row>> {
    const before = new Map<string, Row>();
    const wanted = new Map<TableName, string[]>();
    for (const { table, id, row } of changes) {
      if (row !== null && tableNamed(table).audienceIsFixed) continue;
      wanted.set(table, [...(wanted.get(table) ?? []), id]);
    }
    for (const [table, ids] of wanted)
      for (const row of await this.getMany(table, ids)) before.set(`${table}/${row.id}`, row);
    return before;
  }

  async #workAudiences(changes: readonly Change[], before: ReadonlyMap<string, Row>): Promise<WorkAudiences> {
    const written = changes.flatMap((change): WrittenWork[] => {
      if (change.table !== 'workOrders' || change.row === null) return [];
      const was = before.get(keyOf(change)) as WorkOrder | undefined;
      return [{ before: was, after: change.row, isExpired: this.#isExpired(change) }];
    });
    const on = changes.flatMap((change) => {
      const row = change.row ?? before.get(keyOf(change));
      return row === undefined ? [] : (workOfRow(change.table, row) ?? []);
    });
    return WorkAudiences.of(await this.#run, on, written);
  }

  /** Whom a change concerns, and who sees the row no more. */
  #planned(change: Change, before: Row | undefined, works: WorkAudiences): PlannedChange {
    const { table, row } = change;
    if (row === null && before === undefined) return { change, leaves: [], stands: 0, audiences: [] };
    const ofNow = row === null ? [] : audiencesIn(table, row, works);
    const ofBefore = before === undefined ? [] : audiencesIn(table, before, works);
    if (row === null) return { change, leaves: [], stands: 1, audiences: ofBefore };
    // What is too old to be carried when it is first written is of interest to nobody.
    if (before === undefined && this.#isExpired(change)) return { change, leaves: [], stands: 1, audiences: [] };
    return { change, leaves: ofBefore.filter((each) => !ofNow.includes(each)), stands: 1, audiences: ofNow };
  }

  #isExpired({ table, row }: Change): boolean {
    if (this.#now === null || row === null) return false;
    return tableNamed(table).isExpired?.(row, this.#now) ?? false;
  }

  async #store(run: Run, table: TableName, changes: readonly StoredChange[]): Promise<void> {
    const gone = changes.filter(({ row }) => row === null).map(({ id }) => id);
    await runAmong(run, gone, (some) => `DELETE FROM ${sqlName(table)} WHERE id IN (${some})`);
    const indexes = Object.entries(anyTable(this.tables, table).indexes);
    const columns = ['id', 'revision', 'body', ...indexes.map(([index]) => sqlName(index))];
    const rows = changes.flatMap(({ id, row, revision }) =>
      row === null ? [] : [[id, revision, JSON.stringify(row), ...indexes.map(([, keyOfRow]) => keyOfRow(row))]],
    );
    await insertRows(run, sqlName(table), columns, rows, 'id');
  }
}

type StoredChange = Change & { readonly revision: number };

/** A change with whom it concerns. */
interface PlannedChange {
  readonly change: Change;
  /** Those who saw the row, and do not see what it becomes: each hears of it under a revision of its own. */
  readonly leaves: readonly Audience[];
  /** 1 where anything is written, which takes a revision; 0 where what is to go is not there. */
  readonly stands: 0 | 1;
  readonly audiences: readonly Audience[];
}

const keyOf = ({ table, id }: Pick<Change, 'table' | 'id'>): string => `${table}/${id}`;
const sumOf = (numbers: readonly number[]): number => numbers.reduce((sum, each) => sum + each, 0);

/** The work order with which a row is carried; null where it is carried for itself. */
function workOfRow(table: TableName, row: Row): string | null {
  const { replicated, indexes } = tableNamed(table);
  return replicated === 'withWork' ? (indexes['workOrder']?.(row) ?? null) : null;
}

function audiencesIn(table: TableName, row: Row, works: WorkAudiences): readonly Audience[] {
  const work = workOfRow(table, row);
  return work === null ? audiencesOfRow(table, row) : works.ofWork(work);
}

/** What was recorded on work before it came to new audiences, for these; whom it leaves lets go of it with the work. */
async function movesOf(
  run: Run,
  moved: readonly MovedWork[],
  written: ReadonlySet<string>,
): Promise<{ readonly table: TableName; readonly id: string; readonly audiences: readonly Audience[] }[]> {
  // Also of work that is new here: a load may bring what was recorded on it first.
  const ofWork = new Map(moved.map((each) => [each.id as string, each]));
  const rows = await rowsOfWorks(run, [...ofWork.keys()]);
  for (const { removed, id: work } of ofWork.values())
    for (const audience of removed)
      for (const table of tablesOfWork) await dropFeedLines(run, audience, table, idsOf(rows, table, work));
  return rows.flatMap(({ table, id, work }) => {
    const audiences = ofWork.get(work)?.added ?? [];
    return audiences.length === 0 || written.has(keyOf({ table, id })) ? [] : [{ table, id, audiences }];
  });
}

const idsOf = (rows: readonly RowOfWork[], table: TableName, work: string): string[] =>
  rows.flatMap((row) => (row.table === table && row.work === work ? [row.id] : []));
