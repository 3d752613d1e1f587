import {
  indexesOf,
  isTableName,
  tableNames,
  type Change,
  type IndexName,
  type Records,
  type TableName,
  type Tables,
} from '@oilcan/core';
import type { Knex } from 'knex';
import { noteAssignments } from './assignments';
import { insertRows } from './insert-rows';
import { takeRevisions } from './revisions';

/** A row of any record table as SQL holds it. */
export interface StoredRow {
  readonly id: string;
  readonly revision: number | string;
  readonly body: string;
}

/** `workOrders` as SQL names it: `work_orders`. */
export function sqlName(name: string): string {
  return name.replace(/[A-Z]/g, (letter) => `_${letter.toLowerCase()}`);
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

/** Records in SQL, within one transaction. Every row written takes the next revision. */
export class SqlRecords implements Records {
  readonly #transaction: Knex.Transaction;

  constructor(transaction: Knex.Transaction) {
    this.#transaction = transaction;
  }

  async get<T extends TableName>(table: T, id: string): Promise<Tables[T] | undefined> {
    const stored = await this.#transaction<StoredRow>(sqlName(table)).where('id', id).first('body');
    return stored === undefined ? undefined : readRow(table, stored as StoredRow);
  }

  /** The rows with these ids, those that exist, in no order. */
  async getMany<T extends TableName>(table: T, ids: readonly string[]): Promise<Tables[T][]> {
    const stored: StoredRow[] = await this.#transaction(sqlName(table))
      .whereIn('id', [...ids])
      .select('body');
    return stored.map((each) => readRow(table, each));
  }

  async list<T extends TableName>(table: T, index: IndexName<T>, key: string): Promise<readonly Tables[T][]> {
    const stored: StoredRow[] = await this.#transaction(sqlName(table))
      .where(sqlName(index), key)
      .orderBy('id')
      .select('body');
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
    let revision = (await takeRevisions(this.#transaction, changes.length)) - changes.length;
    const byTable = new Map<TableName, (Change & { revision: number })[]>();
    for (const change of changes) {
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
    const indexes = indexesOf(table);
    const columns = ['id', 'revision', 'body', ...indexes.map(([index]) => sqlName(index))];
    // A statement may not name a row twice: of one that was written twice, the last holds.
    const last = new Map(puts.map((put) => [put.id, put]));
    const rows = [...last.values()].map(({ id, row, revision }) => [
      id,
      revision,
      JSON.stringify(row),
      ...indexes.map(([, keyOf]) => (row === null ? null : keyOf(row))),
    ]);
    await insertRows(this.#transaction, sqlName(table), columns, rows, 'id');
    const works = puts.flatMap((change) => (change.table === 'workOrders' && change.row !== null ? [change.row] : []));
    if (works.length > 0) await noteAssignments(this.#transaction, works);
  }

  async #forgetRemovals(table: TableName, puts: readonly Change[]): Promise<void> {
    if (!removable.has(table)) return;
    const ids = puts.map((change) => change.id);
    await this.#transaction('removals').where('table_name', sqlName(table)).whereIn('id', ids).delete();
  }

  async #removeOne(table: TableName, id: string, revision: number): Promise<void> {
    const name = sqlName(table);
    const hasSite = indexesOf(table).some(([index]) => index === 'site');
    const row: { site?: string | null } | undefined = await this.#transaction(name)
      .where('id', id)
      .first(hasSite ? 'site' : 'id');
    if (row === undefined) return;
    await this.#transaction(name).where('id', id).delete();
    await this.#transaction('removals')
      .insert({ table_name: name, id, site: row.site ?? null, revision })
      .onConflict(['table_name', 'id'])
      .merge();
  }
}

/** Tables whose rows operations remove and may put again; elsewhere a put need not look for a removal. */
const removable: ReadonlySet<TableName> = new Set(['clocks', 'follows']);
