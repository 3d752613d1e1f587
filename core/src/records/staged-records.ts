import type { Change, Records } from './records';
import { anyTable, type IndexName, type Row, type TableName, type Tables, type TableSet } from './table';

/**
 * Changes laid over other records: reads see them, the records below do not until `changes()` is
 * carried there. What was read below is remembered, so nothing is read twice; so while one of these is
 * in use, nobody else may change what lies below. The layer of a refused operation is discarded.
 */
export class StagedRecords implements Records {
  readonly #below: Records;
  readonly #staged = new Map<TableName, Map<string, Row | null>>();
  readonly #read = new Map<TableName, Map<string, Row | undefined>>();
  readonly #listed = new Map<string, ReadonlySet<string>>();

  constructor(below: Records) {
    this.#below = below;
  }

  get tables(): TableSet {
    return this.#below.tables;
  }

  async get<T extends TableName>(table: T, id: string): Promise<Tables[T] | undefined> {
    const staged = this.#staged.get(table)?.get(id);
    if (staged !== undefined) return (staged ?? undefined) as Tables[T] | undefined;
    const read = this.#readOf(table);
    if (!read.has(id)) read.set(id, await this.#below.get(table, id));
    return read.get(id) as Tables[T] | undefined;
  }

  async list<T extends TableName>(table: T, index: IndexName<T>, key: string): Promise<readonly Tables[T][]> {
    const belowIds = await this.#listBelow(table, index, key);
    const rows = new Map<string, Tables[T]>();
    const read = this.#readOf(table);
    for (const id of belowIds) rows.set(id, read.get(id) as Tables[T]);
    const keyOf = anyTable(this.tables, table).indexes[index];
    for (const [id, staged] of this.#staged.get(table) ?? []) {
      if (staged !== null && keyOf?.(staged) === key) rows.set(id, staged as Tables[T]);
      else rows.delete(id);
    }
    return [...rows.values()].sort((a, b) => (a.id < b.id ? -1 : 1));
  }

  /** A row as it stands, where it was read or written here; undefined where it was not, or does not exist. */
  known(table: TableName, id: string): Row | undefined {
    const staged = this.#staged.get(table)?.get(id);
    return staged === undefined ? this.#read.get(table)?.get(id) : (staged ?? undefined);
  }

  put<T extends TableName>(table: T, row: Tables[T]): Promise<void> {
    this.#stage(table, row.id, row);
    return Promise.resolve();
  }

  remove(table: TableName, id: string): Promise<void> {
    this.#stage(table, id, null);
    return Promise.resolve();
  }

  /** What is to be carried to the records below, each row once. */
  changes(): Change[] {
    return [...this.#staged].flatMap(([table, rows]) => [...rows].map(([id, row]) => ({ table, id, row }) as Change));
  }

  /** Takes over the changes of a layer above. */
  absorb(changes: readonly Change[]): void {
    for (const change of changes) this.#stage(change.table, change.id, change.row);
  }

  /**
   * Remembers rows that were read below already. Of `ids`, those without a row are known not to exist.
   */
  prime<T extends TableName>(table: T, ids: readonly string[], rows: readonly Tables[T][]): void {
    const read = this.#readOf(table);
    for (const id of ids) read.set(id, undefined);
    for (const row of rows) read.set(row.id, row);
  }

  async #listBelow<T extends TableName>(table: T, index: IndexName<T>, key: string): Promise<ReadonlySet<string>> {
    const listKey = `${table}/${index}/${key}`;
    const known = this.#listed.get(listKey);
    if (known !== undefined) return known;
    const rows = await this.#below.list(table, index, key);
    const read = this.#readOf(table);
    for (const row of rows) read.set(row.id, row);
    const ids = new Set(rows.map((row) => row.id));
    this.#listed.set(listKey, ids);
    return ids;
  }

  #stage(table: TableName, id: string, row: Row | null): void {
    const rows = this.#staged.get(table) ?? new Map<string, Row | null>();
    this.#staged.set(table, rows.set(id, row));
  }

  #readOf(table: TableName): Map<string, Row | undefined> {
    const known = this.#read.get(table);
    if (known !== undefined) return known;
    const created = new Map<string, Row | undefined>();
    this.#read.set(table, created);
    return created;
  }
}
