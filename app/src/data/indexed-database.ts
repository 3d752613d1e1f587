import type { Change, FileId } from '@oilcan/core';
import { openDB, type DBSchema, type IDBPDatabase, type IDBPTransaction, type StoreNames } from 'idb';
import { operationOfVersion4, personOfVersion4, rowOfVersion4 } from './version-4';
import { inOrderMade, type KeptOperation } from './kept-operation';
import {
  nowhere,
  Overtaken,
  StorageFailed,
  type Bearings,
  type Edition,
  type KeptFile,
  type Loaded,
  type LocalDatabase,
  type Write,
} from './local-database';

export interface Schema extends DBSchema {
  /** Rows as the server last gave them, under `table/id`. */
  rows: { key: string; value: Change };
  /** Operations under their id. */
  kept: { key: string; value: KeptOperation };
  bearings: { key: 'here'; value: Bearings };
  /** Counts the writes. */
  edition: { key: 'now'; value: Edition };
  files: { key: FileId; value: KeptFile };
  /** What the files hold, apart, so that listing them does not read them. */
  contents: { key: FileId; value: Uint8Array<ArrayBuffer> };
}

/** Raised with every change of the stores; `migrate` brings each earlier version here. */
const VERSION = 4;

type Upgrade = IDBPTransaction<Schema, StoreNames<Schema>[], 'versionchange'>;

/**
 * 1: rows, kept operations and bearings.
 * 2: editions and files; operations say how far the device was ahead and what was known.
 * 3: work orders have tools, isolation, the units of their kit, and who had them before.
 * 4: trades and controls have their names, times and parts what they were paid by; rows say whose they are.
 */
async function migrate(database: IDBPDatabase<Schema>, from: number, upgrade: Upgrade): Promise<void> {
  if (from < 1) {
    database.createObjectStore('rows');
    database.createObjectStore('kept');
    database.createObjectStore('bearings');
  }
  if (from < 2) {
    database.createObjectStore('edition');
    database.createObjectStore('files');
    database.createObjectStore('contents');
    const kept = upgrade.objectStore('kept');
    for (const each of await kept.getAll()) {
      // What version 1 kept was made by an unmeasured clock, and knew nothing for certain.
      const operation = { ...each.operation, ahead: 0, knew: nowhere.knew };
      const isJudged = each.where === 'rejected' ? { isJudged: true } : {};
      await kept.put({ ...each, ...isJudged, operation }, operation.id);
    }
    const bearings = await upgrade.objectStore('bearings').get('here');
    // Rows have new fields since: they are fetched anew.
    if (bearings !== undefined)
      await upgrade.objectStore('bearings').put({ ...nowhere, person: bearings.person }, 'here');
    await upgrade.objectStore('rows').clear();
  }
  if (from < 3) {
    const rows = upgrade.objectStore('rows');
    for (const each of await rows.getAll()) {
      if (each.table !== 'workOrders' || each.row === null) continue;
      const row = {
        ...each.row,
        tools: [],
        isolation: [],
        formerly: null,
        kit: each.row.kit.map((part) => ({ ...part, unit: null })),
      };
      await rows.put({ ...each, row }, `${each.table}/${each.id}`);
    }
  }
  if (from < 4) {
    const rows = upgrade.objectStore('rows');
    for (const each of await rows.getAll()) {
      const upgraded = rowOfVersion4(each);
      if (upgraded !== each) await rows.put(upgraded, `${each.table}/${each.id}`);
    }
    const kept = upgrade.objectStore('kept');
    for (const each of await kept.getAll()) {
      const operation = operationOfVersion4(each.operation);
      if (operation !== each.operation) await kept.put({ ...each, operation }, operation.id);
    }
    const bearings = await upgrade.objectStore('bearings').get('here');
    const person = bearings?.person as Parameters<typeof personOfVersion4>[0] | null | undefined;
    if (bearings !== undefined && person !== undefined && person !== null)
      await upgrade.objectStore('bearings').put({ ...bearings, person: personOfVersion4(person) }, 'here');
  }
}

interface Events {
  /** A newer Oilcan in another window changes the database: this window can no longer write. */
  readonly onOutdated: () => void;
  /** The browser took the database away, for instance because its data were cleared. */
  readonly onLost: () => void;
}

/** The phone's database in the browser's IndexedDB. */
export class IndexedDatabase implements LocalDatabase {
  readonly #database: IDBPDatabase<Schema>;

  private constructor(database: IDBPDatabase<Schema>) {
    this.#database = database;
  }

  /** Rejects when the browser has no storage, or does not let us have it. */
  static async open(name: string, events: Events): Promise<IndexedDatabase> {
    const database = await openDB<Schema>(name, VERSION, {
      upgrade: (upgrading, from, _to, upgrade) => migrate(upgrading, from, upgrade),
      blocking: (_current, _blocked, event) => {
        (event.target as IDBDatabase).close();
        events.onOutdated();
      },
      terminated: events.onLost,
    });
    return new IndexedDatabase(database);
  }

  close(): void {
    this.#database.close();
  }

  async load(): Promise<Loaded> {
    const transaction = this.#database.transaction(['rows', 'kept', 'bearings', 'edition']);
    const [rows, kept, bearings, edition] = await Promise.all([
      transaction.objectStore('rows').getAll(),
      transaction.objectStore('kept').getAll(),
      transaction.objectStore('bearings').get('here'),
      transaction.objectStore('edition').get('now'),
    ]);
    return { edition: edition ?? 0, bearings: bearings ?? nowhere, rows, kept: inOrderMade(kept) };
  }

  write(write: Write, edition: Edition): Promise<Edition> {
    const { keep = [], forget = [], changes = [], isWhole = false, bearings } = write;
    const touchesRows = isWhole || changes.length > 0;
    const stores: StoreNames<Schema>[] = ['kept', 'bearings', 'edition', ...(touchesRows ? (['rows'] as const) : [])];
    return this.#change(stores, async (transaction) => {
      const here = (await transaction.objectStore('edition').get('now')) ?? 0;
      if (here !== edition) throw new Overtaken();
      const kept = transaction.objectStore('kept');
      const requests: Promise<unknown>[] = [
        ...forget.map((id) => kept.delete(id)),
        ...keep.map((each) => kept.put(each, each.operation.id)),
        transaction.objectStore('bearings').put(bearings, 'here'),
        transaction.objectStore('edition').put(edition + 1, 'now'),
      ];
      if (touchesRows) {
        const rows = transaction.objectStore('rows');
        if (isWhole) requests.push(rows.clear());
        for (const change of changes) {
          const key = `${change.table}/${change.id}`;
          requests.push(change.row === null ? rows.delete(key) : rows.put(change, key));
        }
      }
      await Promise.all(requests);
      return edition + 1;
    });
  }

  files(): Promise<readonly KeptFile[]> {
    return this.#database.getAll('files');
  }

  putFile(file: KeptFile, content: Uint8Array<ArrayBuffer>): Promise<void> {
    return this.#change(['files', 'contents'], async (transaction) => {
      if ((await transaction.objectStore('files').get(file.id)) !== undefined) return;
      await Promise.all([
        transaction.objectStore('files').put(file, file.id),
        transaction.objectStore('contents').put(content, file.id),
      ]);
    });
  }

  markSent(id: FileId): Promise<void> {
    return this.#change(['files'], async (transaction) => {
      const file = await transaction.objectStore('files').get(id);
      if (file !== undefined) await transaction.objectStore('files').put({ ...file, isSent: true }, id);
    });
  }

  readFile(id: FileId): Promise<Uint8Array<ArrayBuffer> | undefined> {
    return this.#database.get('contents', id);
  }

  removeFile(id: FileId): Promise<void> {
    return this.#change(['files', 'contents'], async (transaction) => {
      await Promise.all([transaction.objectStore('files').delete(id), transaction.objectStore('contents').delete(id)]);
    });
  }

  /** One transaction that survives a dead battery once it is done; a failed one leaves nothing. */
  async #change<Stores extends StoreNames<Schema>[], T>(
    stores: Stores,
    change: (transaction: IDBPTransaction<Schema, Stores, 'readwrite'>) => Promise<T>,
  ): Promise<T> {
    try {
      const transaction = this.#database.transaction(stores, 'readwrite', { durability: 'strict' });
      // Its failure is told by what is awaited below; here it is only kept from being reported twice.
      transaction.done.catch(() => undefined);
      const result = await change(transaction).catch((error: unknown) => {
        tryToAbort(transaction);
        throw error;
      });
      await transaction.done;
      return result;
    } catch (error) {
      if (error instanceof Overtaken) throw error;
      throw new StorageFailed(error instanceof Error && error.name === 'QuotaExceededError');
    }
  }
}

function tryToAbort(transaction: { abort(): void }): void {
  try {
    transaction.abort();
  } catch {
    // It has ended already, which is all that was wanted.
  }
}
