import type { Change, OperationId, Person, Revision } from '@oilcan/core';
import type { KeptOperation } from './kept-operation';

/** Where the phone stands. */
export interface Bearings {
  /** Who uses it. */
  readonly person: Person | null;
  /** Up to which revision its rows go. */
  readonly revision: Revision;
  /** Whether the first rows are still coming, page by page: nothing that is gone need be told then. */
  readonly isFilling: boolean;
  /** The scope that these rows belong to. */
  readonly scope: string;
}

export const nowhere: Bearings = { person: null, revision: 0, isFilling: true, scope: '' };

export interface Loaded {
  readonly bearings: Bearings;
  /** The rows as the server last gave them. */
  readonly rows: readonly Change[];
  /** In the order in which they were made. */
  readonly kept: readonly KeptOperation[];
}

/**
 * Rows from the server, how far they go, and the operations whose effects they contain: taken together or not at all,
 * because an operation that is applied to rows that already contain it is applied twice.
 */
export interface Arrival {
  readonly changes: readonly Change[];
  readonly bearings: Bearings;
  /** Whether they replace all earlier rows. */
  readonly isWhole: boolean;
  /** The operations to forget. */
  readonly arrived: readonly OperationId[];
}

/** What the phone keeps through a reload. Each method is one transaction: done whole, or not at all. */
export interface LocalDatabase {
  load(): Promise<Loaded>;
  /** Resolves once the operations would survive a dead battery. */
  keep(operations: readonly KeptOperation[]): Promise<void>;
  /** Forgets operations that need no answering for any more. */
  forget(operations: readonly OperationId[]): Promise<void>;
  takeRows(arrival: Arrival): Promise<void>;
  /** Everything of the person before is removed. */
  wipe(bearings: Bearings): Promise<void>;
}
