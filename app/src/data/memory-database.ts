import type { Change, OperationId } from '@oilcan/core';
import { inOrderMade, type KeptOperation } from './kept-operation';
import { nowhere, type Arrival, type Bearings, type Loaded, type LocalDatabase } from './local-database';

/** Keeps what a phone keeps for as long as the object lives: for tests, and where a browser has no storage. */
export class MemoryDatabase implements LocalDatabase {
  #bearings: Bearings = nowhere;
  readonly #rows = new Map<string, Change>();
  readonly #kept = new Map<OperationId, KeptOperation>();

  load(): Promise<Loaded> {
    const kept = inOrderMade([...this.#kept.values()]);
    return Promise.resolve({ bearings: this.#bearings, rows: [...this.#rows.values()], kept });
  }

  keep(operations: readonly KeptOperation[]): Promise<void> {
    for (const kept of operations) this.#kept.set(kept.operation.id, kept);
    return Promise.resolve();
  }

  forget(operations: readonly OperationId[]): Promise<void> {
    for (const id of operations) this.#kept.delete(id);
    return Promise.resolve();
  }

  takeRows({ changes, bearings, isWhole, arrived }: Arrival): Promise<void> {
    for (const id of arrived) this.#kept.delete(id);
    if (isWhole) this.#rows.clear();
    for (const change of changes) {
      const key = `${change.table}/${change.id}`;
      if (change.row === null) this.#rows.delete(key);
      else this.#rows.set(key, change);
    }
    this.#bearings = bearings;
    return Promise.resolve();
  }

  wipe(bearings: Bearings): Promise<void> {
    this.#rows.clear();
    this.#kept.clear();
    this.#bearings = bearings;
    return Promise.resolve();
  }
}
