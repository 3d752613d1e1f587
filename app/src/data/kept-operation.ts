import type { Operation, OperationId, Refusal, Revision } from '@oilcan/core';

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
      /** Whether the server judged it; if not, it failed at it, or at its file. */
      readonly isJudged: boolean;
    }
);

/** The order in which operations were made on this phone. */
export function inOrderMade(kept: readonly KeptOperation[]): KeptOperation[] {
  return [...kept].sort((a, b) => a.sequence - b.sequence || (a.operation.id < b.operation.id ? -1 : 1));
}

const ID_LENGTH = 36;

/** Whether an operation names the entry of one of these, and so cannot be carried out before it. */
export function namesOneOf(operation: Operation, ids: ReadonlySet<OperationId>): boolean {
  const { args } = operation;
  if (ids.size === 0 || typeof args !== 'object' || args === null) return false;
  return Object.values(args).some(
    (value) => typeof value === 'string' && ids.has(value.slice(0, ID_LENGTH) as OperationId),
  );
}
