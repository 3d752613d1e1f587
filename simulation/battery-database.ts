import type { FileId } from '@oilcan/core/kernel';
import type { WriteVersion, KeptFile, Loaded, LocalDatabase, Write } from '../app/src/data/database/local-database';
import { MemoryDatabase } from '../app/src/data/database/memory-database';
import type { BatteryDeath } from './history';

/** The battery died: whatever the phone was doing ends here. */
export class BatteryDied extends Error {}

/** A phone's storage that survives its battery; the phone that wrote to it does not. */
export class BatteryDatabase implements LocalDatabase {
  readonly #storage = new MemoryDatabase();
  #death: BatteryDeath | null = null;
  #isDead = false;

  /** The battery will die at a write that is to come. */
  plan(death: BatteryDeath): void {
    this.#death = death;
  }

  get isDead(): boolean {
    return this.#isDead;
  }

  /** Charged again, for the phone that is started next. */
  charge(): void {
    this.#isDead = false;
    this.#death = null;
  }

  load(): Promise<Loaded> {
    return this.#read(() => this.#storage.load());
  }

  write(write: Write, writeVersion: WriteVersion): Promise<WriteVersion> {
    return this.#write(() => this.#storage.write(write, writeVersion));
  }

  files(): Promise<readonly KeptFile[]> {
    return this.#read(() => this.#storage.files());
  }

  readFile(id: FileId): Promise<Uint8Array<ArrayBuffer> | undefined> {
    return this.#read(() => this.#storage.readFile(id));
  }

  putFile(file: KeptFile, content: Uint8Array<ArrayBuffer>): Promise<void> {
    return this.#write(() => this.#storage.putFile(file, content));
  }

  noteSent(id: FileId, isSent: boolean): Promise<void> {
    return this.#write(() => this.#storage.noteSent(id, isSent));
  }

  removeFile(id: FileId): Promise<void> {
    return this.#write(() => this.#storage.removeFile(id));
  }

  async #read<T>(read: () => Promise<T>): Promise<T> {
    if (this.#isDead) throw new BatteryDied();
    return read();
  }

  async #write<T>(write: () => Promise<T>): Promise<T> {
    if (this.#isDead) throw new BatteryDied();
    if (this.#death === null) return write();
    if (this.#death.afterWrites > 0) {
      this.#death = { ...this.#death, afterWrites: this.#death.afterWrites - 1 };
      return write();
    }
    this.#isDead = true;
    if (this.#death.isWritten) await write();
    throw new BatteryDied();
  }
}
