import type { IndexName, TableName, Tables, TableSet } from './table';

/**
 * Where rows are kept, as operations see it. Every implementation passes the one conformance suite.
 * Lists come in the order of their ids. What is read is never changed in place.
 */
export interface Records {
  /** How its tables are defined. */
  readonly tables: TableSet;
  get<T extends TableName>(table: T, id: string): Promise<Tables[T] | undefined>;
  /** All rows whose key in the named index is `key`. */
  list<T extends TableName>(table: T, index: IndexName<T>, key: string): Promise<readonly Tables[T][]>;
  /** Adds the row, or replaces the one with its id. */
  put<T extends TableName>(table: T, row: Tables[T]): Promise<void>;
  /** Removes the row with this id, if there is one. */
  remove(table: TableName, id: string): Promise<void>;
}

/** A row that was put, or the id of one that was removed. */
export type Change = { [T in TableName]: PutChange<T> }[TableName] | Removal;

interface Removal {
  readonly table: TableName;
  readonly id: string;
  readonly row: null;
}

interface PutChange<T extends TableName> {
  readonly table: T;
  readonly id: string;
  readonly row: Tables[T];
}
