import type { FileId, Instant } from '@oilcan/core/kernel';
import type { Operation } from '@oilcan/core/operations';
import type { Person } from '@oilcan/core/plant/people';
import { upgraded, upgradedChange, type Change, type Fields } from '@oilcan/core/records';
import { SHAPE_VERSION, tableNamed, tables } from '@oilcan/core/registry';
import { openDB, type DBSchema, type IDBPDatabase, type IDBPTransaction, type StoreNames } from 'idb';
import { inOrderMade, type KeptOperation } from './kept-operation';
import {
  nowhere,
  WriteConflict,
  StorageFailed,
  type KeptFile,
  type Loaded,
  type LocalDatabase,
  type SyncState,
  type Write,
  type WriteVersion,
} from './local-database';
import type { Rules } from '../rules/rules';

export interface Schema extends DBSchema {
  /** Rows as the server last gave them, under `table/id`. */
  rows: { key: string; value: Change };
  /** Operations under their id. */
  kept: { key: string; value: KeptOperation };
  syncState: { key: 'here'; value: SyncState };
  /** Counts the writes. */
  writeVersion: { key: 'now'; value: WriteVersion };
  files: { key: FileId; value: KeptFile };
  /** What the files hold, apart, so that listing them does not read them. */
  contents: { key: FileId; value: Uint8Array<ArrayBuffer> };
}

/** Raised with every change of the stores. */
const STORES_VERSION = 1;
/** IndexedDB has one number for both, which only rises: of the stores, and of the shapes of the rows in them. */
const VERSION = STORES_VERSION * 100 + SHAPE_VERSION;

type Upgrade = IDBPTransaction<Schema, StoreNames<Schema>[], 'versionchange'>;

/** The shapes of the rows in the first versions, which counted otherwise. */
const shapesOfFirst: Readonly<Record<number, number>> = { 1: 1, 2: 2, 3: 3, 4: 5 };

/** Brings a database of any earlier version here; a new one is of version 0. */
async function migrate(
  database: IDBPDatabase<Schema>,
  from: number,
  upgrade: Upgrade,
  rules: Rules | null,
): Promise<void> {
  if (from < 2) await fromFirstVersion(database, from, upgrade);
  if (from > 0 && from < 100) await renameStores(database, upgrade);
  const shape = shapesOfFirst[from] ?? from % 100;
  if (from > 0) await bringShapesUpToDate(upgrade, shape, rules);
}

/** The first version had no files and knew of no other windows; its rows are fetched anew. */
async function fromFirstVersion(database: IDBPDatabase<Schema>, from: number, upgrade: Upgrade): Promise<void> {
  for (const store of ['files', 'contents'] as const) database.createObjectStore(store);
  if (from === 0) {
    for (const store of ['rows', 'kept', 'syncState', 'writeVersion'] as const) database.createObjectStore(store);
    return;
  }
  const kept = upgrade.objectStore('kept');
  for (const each of await kept.getAll()) {
    // What it kept was made by an unmeasured clock, and for certain nothing was known.
    const operation = { ...each.operation, ahead: 0, knownUntil: nowhere.knownUntil };
    const wasApplied = each.where === 'rejected' ? { wasApplied: true } : {};
    await kept.put({ ...each, ...wasApplied, operation }, operation.id);
  }
  await upgrade.objectStore('rows').clear();
}

/** What a store held under its first name, which this program does not know any more. */
async function heldUnder(upgrade: Upgrade, name: string, key: string): Promise<unknown> {
  if (!upgrade.objectStoreNames.contains(name as never)) return undefined;
  return upgrade.objectStore(name as never).get(key as never);
}

/** `bearings` became `syncState`, and `edition` `writeVersion`. */
async function renameStores(database: IDBPDatabase<Schema>, upgrade: Upgrade): Promise<void> {
  const before = (await heldUnder(upgrade, 'bearings', 'here')) as (SyncState & { knew?: Instant }) | undefined;
  const count = await heldUnder(upgrade, 'edition', 'now');
  for (const name of ['bearings', 'edition'])
    if (upgrade.objectStoreNames.contains(name as never)) database.deleteObjectStore(name as never);
  for (const name of ['syncState', 'writeVersion'] as const) database.createObjectStore(name);
  if (typeof count === 'number') await upgrade.objectStore('writeVersion').put(count, 'now');
  if (before === undefined) return;
  const { knew, ...state } = before;
  const isWhole = knew !== undefined;
  // The very first version did not say how far its rows went in time: they come anew.
  const syncState = isWhole ? { ...nowhere, ...state, knownUntil: knew } : { ...nowhere, person: state.person };
  await upgrade.objectStore('syncState').put(syncState, 'here');
}

/** Rows and kept operations get the shape of today; where there are operations and no rules yet, all of it is broken off. */
async function bringShapesUpToDate(upgrade: Upgrade, from: number, rules: Rules | null): Promise<void> {
  if (from === SHAPE_VERSION) return;
  const kept = upgrade.objectStore('kept');
  const operations = await kept.getAll();
  if (operations.length > 0 && rules === null) {
    upgrade.done.catch(() => undefined);
    upgrade.abort();
    return;
  }
  const rows = upgrade.objectStore('rows');
  for (const each of await rows.getAll()) {
    const change = upgradedChange(tables, each, from);
    if (change !== each) await rows.put(change, `${each.table}/${each.id}`);
  }
  for (const each of operations) {
    const operation = rules?.upgradedOperation(each.operation, from) ?? each.operation;
    await kept.put(keptSince(each, operation), each.operation.id);
  }
  const syncState = await upgrade.objectStore('syncState').get('here');
  const { person } = syncState ?? nowhere;
  if (syncState === undefined || person === null) return;
  const upgradedPerson = upgraded(tableNamed('people').upgrades, person as unknown as Fields, from);
  await upgrade.objectStore('syncState').put({ ...syncState, person: upgradedPerson as unknown as Person }, 'here');
}

/** A kept operation with its upgraded form; that the server had applied it was once called otherwise. */
function keptSince(each: KeptOperation, operation: Operation): KeptOperation {
  const { isJudged, ...rest } = each as KeptOperation & { readonly isJudged?: boolean };
  const applied = isJudged === undefined ? {} : { wasApplied: isJudged };
  return { ...rest, ...applied, operation } as KeptOperation;
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

  /**
   * Rejects when the browser has no storage, or does not let us have it.
   *
   * @param rules asked for only where operations are kept in the shape of an earlier Oilcan
   */
  static async open(name: string, events: Events, rules: () => Promise<Rules>): Promise<IndexedDatabase> {
    try {
      return await IndexedDatabase.#openWith(null, name, events);
    } catch (error) {
      if ((error as DOMException).name !== 'AbortError') throw error;
      return IndexedDatabase.#openWith(await rules(), name, events);
    }
  }

  static async #openWith(rules: Rules | null, name: string, events: Events): Promise<IndexedDatabase> {
    const database = await openDB<Schema>(name, VERSION, {
      upgrade: (upgrading, from, _to, upgrade) => migrate(upgrading, from, upgrade, rules),
      blocking: (_current, blocked, event) => {
        (event.target as IDBDatabase).close();
        // No version comes after this one: it is being deleted.
        if (blocked === null) events.onLost();
        else events.onOutdated();
      },
      terminated: events.onLost,
    });
    return new IndexedDatabase(database);
  }

  close(): void {
    this.#database.close();
  }

  /** Whose phone it is; sooner there than their rows. */
  async person(): Promise<Person | null> {
    return (await this.#database.get('syncState', 'here'))?.person ?? null;
  }

  async load(): Promise<Loaded> {
    const transaction = this.#database.transaction(['rows', 'kept', 'syncState', 'writeVersion']);
    const [rows, kept, syncState, writeVersion] = await Promise.all([
      transaction.objectStore('rows').getAll(),
      transaction.objectStore('kept').getAll(),
      transaction.objectStore('syncState').get('here'),
      transaction.objectStore('writeVersion').get('now'),
    ]);
    return { writeVersion: writeVersion ?? 0, syncState: { ...nowhere, ...syncState }, rows, kept: inOrderMade(kept) };
  }

  write(write: Write, writeVersion: WriteVersion): Promise<WriteVersion> {
    const { keep = [], forget = [], changes = [], isWhole = false, syncState } = write;
    const touchesRows = isWhole || changes.length > 0;
    const stores: StoreNames<Schema>[] = [
      'kept',
      'syncState',
      'writeVersion',
      ...(touchesRows ? (['rows'] as const) : []),
    ];
    return this.#change(stores, async (transaction) => {
      const here = (await transaction.objectStore('writeVersion').get('now')) ?? 0;
      if (here !== writeVersion) throw new WriteConflict();
      const kept = transaction.objectStore('kept');
      const requests: Promise<unknown>[] = [
        ...forget.map((id) => kept.delete(id)),
        ...keep.map((each) => kept.put(each, each.operation.id)),
        transaction.objectStore('syncState').put(syncState, 'here'),
        transaction.objectStore('writeVersion').put(writeVersion + 1, 'now'),
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
      return writeVersion + 1;
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

  noteSent(id: FileId, isSent: boolean): Promise<void> {
    return this.#change(['files'], async (transaction) => {
      const file = await transaction.objectStore('files').get(id);
      if (file !== undefined) await transaction.objectStore('files').put({ ...file, isSent }, id);
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
      if (error instanceof WriteConflict) throw error;
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
