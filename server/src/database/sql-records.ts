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
import { audienceOf, isTableName, tableNamed, tableNames, tables, visibilityKeyOf } from '@oilcan/core/registry';
import type { Knex } from 'knex';
import { noteAssignments } from './assignments';
import { insertRows } from './insert-rows';
import { takeRevisions } from './revisions';
import { runAmong, runnerOf, type Run } from './statements';

/** A row of any record table as SQL holds it. */
export interface StoredRow {
  readonly id: string;
  readonly revision: number | string;
  readonly body: string;
}

const sqlNames = new Map<string, string>();

/** `workOrders` as SQL names it: `work_orders`. */
export function sqlName(name: string): string {
  const known = sqlNames.get(name);
  if (known !== undefined) return known;
  const made = name.replace(/[A-Z]/g, (letter) => `_${letter.toLowerCase()}`);
  sqlNames.set(name, made);
  return made;
}

const tableBySqlName = new Map(tableNames.map((name) => [sqlName(name), name]));

export function tableOfSqlName(name: string): TableName {
  const table = tableBySqlName.get(name) ?? name;
  if (!isTableName(table)) throw new Error(`There is no table ${name}.`);
  return table;
}

/** The row out of its stored form. */
export function readRow<T extends TableName>(_table: T, stored: StoredRow): Tables[T] {
  return JSON.parse(stored.body) as Tables[T];
}

/** Whom a change concerns: `site:…`, `person:…`, or everybody. */
export type Audience = string;

const EVERYBODY: Audience = 'everybody';

/** Everybody who hears of what concerns this person. */
export function audiencesOf(person: { readonly id: string; readonly siteIds: readonly string[] }): Audience[] {
  return [EVERYBODY, `person:${person.id}`, ...person.siteIds.map((id) => `site:${id}`)];
}

/** Whom a row of a table concerns. */
function audiencesOfRow(table: TableName, row: Row): Audience[] {
  const key = visibilityKeyOf(table);
  if (key === null) return tableNamed(table).seenBy === 'nobody' ? [] : [EVERYBODY];
  const kind = key.column === 'site' || key.column === 'sites' ? 'site' : 'person';
  return audienceOf(table, row).map((id) => `${kind}:${id}`);
}

/** Records in SQL, within one transaction. Every row written takes the next revision. */
export class SqlRecords implements Records {
  readonly tables: TableSet = tables;
  readonly #transaction: Knex.Transaction;
  /** Whom what was written concerns. */
  readonly #audience = new Set<Audience>();

  #runner: Promise<Run> | undefined;

  constructor(transaction: Knex.Transaction) {
    this.#transaction = transaction;
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

  /** Carries out many changes with few statements, in their order within a table. */
  async write(changes: readonly Change[]): Promise<void> {
    if (changes.length === 0) return;
    const losses = await this.#lossesOf(changes);
    const count = changes.length + losses.size;
    let revision = (await takeRevisions(await this.#run, count)) - count;
    const byTable = new Map<TableName, (Change & { revision: number })[]>();
    for (const change of changes) {
      const losing = losses.get(`${change.table}/${change.id}`);
      if (losing !== undefined) {
        // Whom a row leaves is told just before the others hear what it is now.
        losses.delete(`${change.table}/${change.id}`);
        revision += 1;
        await this.#noteRemovals(change.table, change.id, losing, revision);
      }
      revision += 1;
      const list = byTable.get(change.table) ?? [];
      byTable.set(change.table, list);
      list.push({ ...change, revision });
    }
    for (const [table, ofTable] of byTable) {
      const puts = ofTable.filter((change) => change.row !== null);
      const removals = ofTable.filter((change) => change.row === null);
      if (puts.length > 0) await this.#upsert(table, puts);
      if (puts.length > 0) await this.#forgetRemovals(table, puts);
      for (const removal of removals) await this.#removeOne(table, removal.id, removal.revision);
    }
  }

  async #upsert(table: TableName, puts: readonly (Change & { revision: number })[]): Promise<void> {
    const indexes = Object.entries(anyTable(this.tables, table).indexes);
    const columns = ['id', 'revision', 'body', ...indexes.map(([index]) => sqlName(index))];
    // A statement may not name a row twice: of one that was written twice, the last holds.
    const last = new Map(puts.map((put) => [put.id, put]));
    for (const { row } of last.values())
      if (row !== null) for (const each of audiencesOfRow(table, row)) this.#audience.add(each);
    const rows = [...last.values()].map(({ id, row, revision }) => [
      id,
      revision,
      JSON.stringify(row),
      ...indexes.map(([, keyOf]) => (row === null ? null : keyOf(row))),
    ]);
    await insertRows(await this.#run, sqlName(table), columns, rows, 'id');
    const works = puts.flatMap((change) => (change.table === 'workOrders' && change.row !== null ? [change.row] : []));
    if (works.length > 0) await noteAssignments(this.#transaction, works);
  }

  /** By `table/id`: those who saw a row, and do not see what it becomes. */
  async #lossesOf(changes: readonly Change[]): Promise<Map<string, readonly Audience[]>> {
    const losses = new Map<string, readonly Audience[]>();
    const tables = new Set(
      changes.flatMap(({ table, row }) => (row === null || tableNamed(table).audienceIsFixed ? [] : [table])),
    );
    for (const table of tables) {
      const after = new Map(
        changes.flatMap(({ table: of, id, row }) => (of === table && row !== null ? [[id, row] as const] : [])),
      );
      for (const before of await this.getMany(table, [...after.keys()])) {
        const row = after.get(before.id);
        if (row === undefined) continue;
        const stays = audiencesOfRow(table, row);
        const losing = audiencesOfRow(table, before).filter((each) => !stays.includes(each));
        if (losing.length > 0) losses.set(`${table}/${before.id}`, losing);
      }
    }
    return losses;
  }

  /** Whoever sees a row again is not told any more that it went. */
  async #forgetRemovals(table: TableName, puts: readonly Change[]): Promise<void> {
    if (tableNamed(table).audienceIsFixed) return;
    const rows = new Map(puts.map(({ id, row }) => [id, row]));
    const gone = await runAmong<{ id: string; audience: Audience }>(
      await this.#run,
      [...rows.keys()],
      (places) => `SELECT id, audience FROM removals WHERE table_name = ? AND id IN (${places})`,
      [sqlName(table)],
    );
    for (const { id, audience } of gone) {
      const row = rows.get(id);
      if (row === undefined || row === null || !audiencesOfRow(table, row).includes(audience)) continue;
      await this.#transaction('removals')
        .where({ table_name: sqlName(table), id, audience })
        .delete();
    }
  }

  async #removeOne(table: TableName, id: string, revision: number): Promise<void> {
    const row = await this.get(table, id);
    if (row === undefined) return;
    await this.#transaction(sqlName(table)).where('id', id).delete();
    await this.#noteRemovals(table, id, audiencesOfRow(table, row), revision);
  }

  async #noteRemovals(table: TableName, id: string, audiences: readonly Audience[], revision: number): Promise<void> {
    for (const audience of audiences) {
      this.#audience.add(audience);
      await this.#transaction('removals')
        .insert({ table_name: sqlName(table), id, audience, revision })
        .onConflict(['table_name', 'id', 'audience'])
        .merge();
    }
  }
}
