import type { WorkOrderId } from '../../../kernel/ids';

interface Linked {
  readonly id: WorkOrderId;
  readonly cameFrom?: WorkOrderId | null;
}

/** Longer chains are followed no further; one that leads back to itself ends there. */
const LONGEST_CHAIN = 50;

/** The work orders that one came from, the nearest first, as far as they are known. */
export function chainBefore<W extends Linked>(work: W, find: (id: WorkOrderId) => W | undefined): W[] {
  const chain: W[] = [];
  const seen = new Set([work.id]);
  let next = work.cameFrom ?? null;
  while (next !== null && !seen.has(next) && chain.length < LONGEST_CHAIN) {
    const before = find(next);
    if (before === undefined) break;
    seen.add(next);
    chain.push(before);
    next = before.cameFrom ?? null;
  }
  return chain;
}
