import type { Person } from '@oilcan/core/plant/people';
import type { DeviceClock } from '@oilcan/core/sync';
import type { KeptOperation } from './kept-operation';
import {
  nowhere,
  WriteConflict,
  type SyncState,
  type WriteVersion,
  type LocalDatabase,
  type Write,
} from './local-database';
import type { OtherWindows, Told } from './other-windows';

interface LocalStoreParts {
  readonly database: LocalDatabase;
  readonly others: OtherWindows;
  readonly clock: DeviceClock;
  /** What this phone is called where nothing is kept that says so. */
  readonly newDevice: string;
  /** Everything was read anew. */
  readonly onReload: (rows: Awaited<ReturnType<LocalDatabase['load']>>['rows']) => Promise<void>;
  /** Another window wrote this, and it was taken over. */
  readonly onHeard: (write: Write) => Promise<void>;
  readonly onChange: () => void;
}

/**
 * What the phone keeps, as this window knows it. Every write says after which one it was made: one that another window
 * overtook is made again on what is there now.
 */
export class LocalStore {
  #writeVersion: WriteVersion = 0;
  #syncState: SyncState = nowhere;
  /** Of everybody who used this phone. */
  #everybodys: readonly KeptOperation[] = [];
  #kept: readonly KeptOperation[] = [];
  #queue: Promise<unknown> = Promise.resolve();
  readonly #parts: LocalStoreParts;

  constructor(parts: LocalStoreParts) {
    this.#parts = parts;
    parts.others.onTold((told) => void this.#hear(told));
  }

  get syncState(): SyncState {
    return this.#syncState;
  }

  get person(): Person | null {
    return this.#syncState.person;
  }

  /** Operations of the person, in the order in which they were made. */
  get kept(): readonly KeptOperation[] {
    return this.#kept;
  }

  get everybodys(): readonly KeptOperation[] {
    return this.#everybodys;
  }

  get nextSequence(): number {
    return (this.#everybodys.at(-1)?.sequence ?? 0) + 1;
  }

  /** One thing after another: whatever reads and then writes must not be overtaken, or is done again. */
  runExclusively<T>(task: () => Promise<T>): Promise<T> {
    const run = this.#queue.then(async () => {
      for (;;) {
        try {
          return await task();
        } catch (error) {
          if (!(error instanceof WriteConflict)) throw error;
          await this.reload();
        }
      }
    });
    this.#queue = run.catch(() => undefined);
    return run;
  }

  /** Writes, takes over what was written, and tells the other windows. Only in turn. */
  async write(write: Partial<Write>): Promise<void> {
    const syncState = { ...(write.syncState ?? this.#syncState), clock: this.#parts.clock.memory };
    const whole: Write = { ...write, syncState };
    const before = this.#writeVersion;
    const writeVersion = await this.#parts.database.write(whole, before);
    this.#takeOver(whole, writeVersion);
    this.#parts.others.tell({ before, writeVersion, write: whole });
  }

  /** Where the phone stands has changed in a way that is not worth a write. */
  note(syncState: SyncState): void {
    this.#syncState = syncState;
  }

  /** Reads all that is kept. Only in turn. */
  async reload(): Promise<void> {
    const { writeVersion, syncState: stored, rows, kept } = await this.#parts.database.load();
    const syncState = named(stored, this.#parts.newDevice);
    this.#writeVersion = writeVersion;
    this.#syncState = syncState;
    this.#parts.clock.remember(syncState.clock);
    this.#everybodys = kept;
    this.#kept = kept.filter(({ operation }) => operation.by === syncState.person?.id);
    await this.#parts.onReload(rows);
  }

  #takeOver({ keep = [], forget = [], syncState }: Write, writeVersion: WriteVersion): void {
    this.#writeVersion = writeVersion;
    this.#syncState = syncState;
    if (keep.length === 0 && forget.length === 0) return;
    const kept = new Map(this.#everybodys.map((each) => [each.operation.id, each]));
    for (const id of forget) kept.delete(id);
    for (const each of keep) kept.set(each.operation.id, each);
    this.#everybodys = [...kept.values()].sort((a, b) => a.sequence - b.sequence);
    this.#kept = this.#everybodys.filter(({ operation }) => operation.by === syncState.person?.id);
  }

  /** Another window wrote: does the same here, or reads all of it again when something was missed. */
  async #hear({ before, writeVersion, write }: Told): Promise<void> {
    await this.runExclusively(async () => {
      if (writeVersion <= this.#writeVersion) return;
      const isOther = write.syncState.person?.id !== this.person?.id;
      if (before !== this.#writeVersion || isOther || write.isWhole === true) return this.reload();
      this.#takeOver(write, writeVersion);
      this.#parts.clock.remember(write.syncState.clock);
      await this.#parts.onHeard(write);
    });
    this.#parts.onChange();
  }
}

/** A phone that has lost its name has lost what was lent to it, too: the server lends it to that name alone. */
function named(stored: SyncState, newDevice: string): SyncState {
  // What an earlier Oilcan kept has no name in it at all.
  const device = (stored.device as string | null | undefined) ?? null;
  return device === null ? { ...stored, device: newDevice, numbers: {} } : stored;
}
