import type { Change, OperationId } from '@oilcan/core';
import { openDB, type DBSchema, type IDBPDatabase, type IDBPTransaction, type StoreNames } from 'idb';
import { inOrderMade, type KeptOperation } from './kept-operation';
import { nowhere, type Arrival, type Bearings, type Loaded, type LocalDatabase } from './local-database';

interface Schema extends DBSchema {
  /** Rows as the server last gave them, under `table/id`. */
  rows: { key: string; value: Change };
  /** Operations under their id, so that two open tabs never take each other's place. */
  kept: { key: string; value: KeptOperation };
  bearings: { key: 'here'; value: Bearings };
}

const VERSION = 1;

/** The phone's database in the browser's IndexedDB. */
export class IndexedDatabase implements LocalDatabase {
  readonly #database: IDBPDatabase<Schema>;

  private constructor(database: IDBPDatabase<Schema>) {
    this.#database = database;
  }

  /** Rejects when the browser has no storage, or does not let us have it. */
  static async open(name: string): Promise<IndexedDatabase> {
    const database = await openDB<Schema>(name, VERSION, {
      upgrade: (upgrading) => {
        upgrading.createObjectStore('rows');
        upgrading.createObjectStore('kept');
        upgrading.createObjectStore('bearings');
      },
    });
    return new IndexedDatabase(database);
  }

  async load(): Promise<Loaded> {
    const transaction = this.#database.transaction(['rows', 'kept', 'bearings']);
    const [rows, kept, bearings] = await Promise.all([
      transaction.objectStore('rows').getAll(),
      transaction.objectStore('kept').getAll(),
      transaction.objectStore('bearings').get('here'),
    ]);
    return { bearings: bearings ?? nowhere, rows, kept: inOrderMade(kept) };
  }

  keep(operations: readonly KeptOperation[]): Promise<void> {
    return this.#write(['kept'], (transaction) => {
      for (const kept of operations) void transaction.objectStore('kept').put(kept, kept.operation.id);
    });
  }

  forget(operations: readonly OperationId[]): Promise<void> {
    return this.#write(['kept'], (transaction) => {
      for (const id of operations) void transaction.objectStore('kept').delete(id);
    });
  }

  takeRows({ changes, bearings, isWhole, arrived }: Arrival): Promise<void> {
    return this.#write(['rows', 'kept', 'bearings'], (transaction) => {
      for (const id of arrived) void transaction.objectStore('kept').delete(id);
      const rows = transaction.objectStore('rows');
      if (isWhole) void rows.clear();
      for (const change of changes) {
        const key = `${change.table}/${change.id}`;
        if (change.row === null) void rows.delete(key);
        else void rows.put(change, key);
      }
      void transaction.objectStore('bearings').put(bearings, 'here');
    });
  }

  wipe(bearings: Bearings): Promise<void> {
    return this.#write(['rows', 'kept', 'bearings'], (transaction) => {
      void transaction.objectStore('rows').clear();
      void transaction.objectStore('kept').clear();
      void transaction.objectStore('bearings').put(bearings, 'here');
    });
  }

  async #write<Stores extends StoreNames<Schema>[]>(
    stores: Stores,
    change: (transaction: IDBPTransaction<Schema, Stores, 'readwrite'>) => void,
  ): Promise<void> {
    const transaction = this.#database.transaction(stores, 'readwrite', { durability: 'strict' });
    change(transaction);
    await transaction.done;
  }
}
