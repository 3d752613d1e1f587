import type { Change, Records } from './records';
import { anyTable, type IndexName, type Row, type TableName, type Tables, type TableSet } from './table';

interface Table {
  readonly rows: Map<string, Row>;
  /** Index name → key → ids. */
  readonly indexes: Map<string, Map<string, Set<string>>>;
  /** Lists already made, by `index/key`; discarded when the table changes there. */
  readonly lists: Map<string, readonly Row[]>;
}

/**
 * Records in memory, readable at once as well as through `Records`.
 * A list that did not change is the same array as before, so that an interface redraws only what changed.
 */
export class MemoryRecords implements Records {
  readonly tables: TableSet;
  readonly #held = new Map<TableName, Table>();

  constructor(tables: TableSet) {
    this.tables = tables;
  }

  /** The row as it stands now. */
  peek<T extends TableName>(table: T, id: string): Tables[T] | undefined {
    return this.#table(table).rows.get(id) as Tables[T] | undefined;
  }

  /** As `list`, at once. */
  peekList<T extends TableName>(table: T, index: IndexName<T>, key: string): readonly Tables[T][] {
    const held = this.#table(table);
    const listKey = `${index}/${key}`;
    const known = held.lists.get(listKey);
    if (known !== undefined) return known as readonly Tables[T][];
    const ids = [...(held.indexes.get(index)?.get(key) ?? [])].sort();
    const rows = ids.flatMap((id) => held.rows.get(id) ?? []);
    held.lists.set(listKey, rows);
    return rows as readonly Row[] as readonly Tables[T][];
  }

  /** Every row of a table, in the order of ids. */
  peekAll<T extends TableName>(table: T): readonly Tables[T][] {
    const held = this.#table(table);
    const known = held.lists.get('');
    if (known !== undefined) return known as readonly Tables[T][];
    const rows = [...held.rows.keys()].sort().flatMap((id) => held.rows.get(id) ?? []);
    held.lists.set('', rows);
    return rows as readonly Row[] as readonly Tables[T][];
  }

  /** Puts and removes rows at once. */
  change(changes: readonly Change[]): void {
    for (const change of changes) this.#replace(change.table, change.id, change.row);
  }

  clear(): void {
    this.#held.clear();
  }

  get<T extends TableName>(table: T, id: string): Promise<Tables[T] | undefined> {
    return Promise.resolve(this.peek(table, id));
  }

  list<T extends TableName>(table: T, index: IndexName<T>, key: string): Promise<readonly Tables[T][]> {
    return Promise.resolve(this.peekList(table, index, key));
  }

  put<T extends TableName>(table: T, row: Tables[T]): Promise<void> {
    this.#replace(table, row.id, row);
    return Promise.resolve();
  }

  remove(table: TableName, id: string): Promise<void> {
    this.#replace(table, id, null);
    return Promise.resolve();
  }

  #table(name: TableName): Table {
    const known = this.#held.get(name);
    if (known !== undefined) return known;
    const created: Table = { rows: new Map(), indexes: new Map(), lists: new Map() };
    this.#held.set(name, created);
    return created;
  }

  #replace(name: TableName, id: string, row: Row | null): void {
    const table = this.#table(name);
    const before = table.rows.get(id);
    table.lists.delete('');
    for (const [index, keyOf] of Object.entries(anyTable(this.tables, name).indexes)) {
      const oldKey = before === undefined ? null : keyOf(before);
      const newKey = row === null ? null : keyOf(row);
      if (oldKey !== null) table.lists.delete(`${index}/${oldKey}`);
      if (newKey !== null) table.lists.delete(`${index}/${newKey}`);
      if (oldKey === newKey) continue;
      const byKey = table.indexes.get(index) ?? new Map<string, Set<string>>();
      table.indexes.set(index, byKey);
      if (oldKey !== null) byKey.get(oldKey)?.delete(id);
      if (newKey !== null) byKey.set(newKey, (byKey.get(newKey) ?? new Set()).add(id));
    }
    if (row === null) table.rows.delete(id);
    else table.rows.set(id, row);
  }
}
