import type { FileId, OperationId } from '@oilcan/core/kernel';
import type { Change } from '@oilcan/core/records';
import { inOrderMade, type KeptOperation } from './kept-operation';
import {
  nowhere,
  WriteConflict,
  type SyncState,
  type WriteVersion,
  type KeptFile,
  type Loaded,
  type LocalDatabase,
  type Write,
} from './local-database';

/** Keeps what a phone keeps for as long as the object lives: for tests, and where a browser has no storage. */
export class MemoryDatabase implements LocalDatabase {
  #writeVersion: WriteVersion = 0;
  #syncState: SyncState = nowhere;
  readonly #rows = new Map<string, Change>();
  readonly #kept = new Map<OperationId, KeptOperation>();
  readonly #files = new Map<FileId, KeptFile & { readonly content: Uint8Array<ArrayBuffer> }>();

  load(): Promise<Loaded> {
    const kept = inOrderMade([...this.#kept.values()]);
    const rows = [...this.#rows.values()];
    return Promise.resolve({ writeVersion: this.#writeVersion, syncState: this.#syncState, rows, kept });
  }

  write(
    { keep = [], forget = [], changes = [], isWhole = false, syncState }: Write,
    writeVersion: WriteVersion,
  ): Promise<WriteVersion> {
    if (writeVersion !== this.#writeVersion) return Promise.reject(new WriteConflict());
    this.#writeVersion += 1;
    for (const id of forget) this.#kept.delete(id);
    for (const kept of keep) this.#kept.set(kept.operation.id, kept);
    if (isWhole) this.#rows.clear();
    for (const change of changes) {
      const key = `${change.table}/${change.id}`;
      if (change.row === null) this.#rows.delete(key);
      else this.#rows.set(key, change);
    }
    this.#syncState = syncState;
    return Promise.resolve(this.#writeVersion);
  }

  files(): Promise<readonly KeptFile[]> {
    return Promise.resolve([...this.#files.values()]);
  }

  putFile(file: KeptFile, content: Uint8Array<ArrayBuffer>): Promise<void> {
    if (!this.#files.has(file.id)) this.#files.set(file.id, { ...file, content });
    return Promise.resolve();
  }

  noteSent(id: FileId, isSent: boolean): Promise<void> {
    const file = this.#files.get(id);
    if (file !== undefined) this.#files.set(id, { ...file, isSent });
    return Promise.resolve();
  }

  readFile(id: FileId): Promise<Uint8Array<ArrayBuffer> | undefined> {
    return Promise.resolve(this.#files.get(id)?.content);
  }

  removeFile(id: FileId): Promise<void> {
    this.#files.delete(id);
    return Promise.resolve();
  }
}
