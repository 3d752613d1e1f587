import type { LocalDatabase, Loaded } from '../app/src/data/local-database';
import { MemoryDatabase } from '../app/src/data/memory-database';
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
    return this.#storage.load();
  }

  keep(...given: Parameters<LocalDatabase['keep']>): Promise<void> {
    return this.#write(() => this.#storage.keep(...given));
  }

  forget(...given: Parameters<LocalDatabase['forget']>): Promise<void> {
    return this.#write(() => this.#storage.forget(...given));
  }

  takeRows(...given: Parameters<LocalDatabase['takeRows']>): Promise<void> {
    return this.#write(() => this.#storage.takeRows(...given));
  }

  wipe(...given: Parameters<LocalDatabase['wipe']>): Promise<void> {
    return this.#write(() => this.#storage.wipe(...given));
  }

  async #write(write: () => Promise<void>): Promise<void> {
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
