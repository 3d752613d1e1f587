import type { Operation, Refusal } from '@oilcan/core/operations';
import type { Revision } from '@oilcan/core/sync';

/**
 * An operation that this phone answers for.
 * `pending`: on this phone only. `sent`: the server took it, and its rows come with the pull that reaches `revision`.
 * `rejected`: the server refused it; it stays until the person mends or drops it.
 */
export type KeptOperation = {
  readonly operation: Operation;
  /** Counts up on this phone: the order in which operations were made. */
  readonly sequence: number;
} & (
  | { readonly where: 'pending' }
  | { readonly where: 'sent'; readonly revision: Revision }
  | {
      readonly where: 'rejected';
      readonly refusal: Refusal;
      /** Whether the server applied it, and so refused it for good; if not, it failed at it, or at its file. */
      readonly wasApplied: boolean;
    }
);

/** The order in which operations were made on this phone. */
export function inOrderMade(kept: readonly KeptOperation[]): KeptOperation[] {
  return [...kept].sort((a, b) => a.sequence - b.sequence || (a.operation.id < b.operation.id ? -1 : 1));
}
