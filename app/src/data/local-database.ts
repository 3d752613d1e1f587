import type { Change, Person, Revision } from '@oilcan/core';
import type { KeptOperation } from './kept-operation';

/** Where the phone stands. */
export interface Bearings {
  /** Who uses it. */
  readonly person: Person | null;
  /** Up to which revision its rows go. */
  readonly revision: Revision;
  /** The scope that these rows belong to. */
  readonly scope: string;
}

export const nowhere: Bearings = { person: null, revision: 0, scope: '' };

export interface Loaded {
  readonly bearings: Bearings;
  /** The rows as the server last gave them. */
  readonly rows: readonly Change[];
  /** By sequence. */
  readonly kept: readonly KeptOperation[];
}

/** What the phone keeps through a reload. Each method is one transaction: done whole, or not at all. */
export interface LocalDatabase {
  load(): Promise<Loaded>;
  /** Resolves once the operations would survive a dead battery. */
  keep(operations: readonly KeptOperation[]): Promise<void>;
  /** Forgets operations that need no answering for any more. */
  forget(sequences: readonly number[]): Promise<void>;
  /** Rows from the server together with how far they go; `isWhole` when they replace all earlier rows. */
  takeRows(changes: readonly Change[], bearings: Bearings, isWhole: boolean): Promise<void>;
  /** Everything of the person before is removed. */
  wipe(bearings: Bearings): Promise<void>;
}
