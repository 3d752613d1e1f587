import type { BinId, PartId, PersonId, RequestId, SiteId, StoreId, TransferId, WorkOrderId } from '../../../kernel/ids';
import type { Thousandths } from '../../../kernel/quantity/quantity';
import type { Instant } from '../../../kernel/time/instant';
import type { UnitPrice } from '../stock/part-content';

/** What became of goods on the way. */
export interface Arrival {
  /** Of the operation. */
  readonly id: string;
  readonly binId: BinId;
  readonly quantity: Thousandths;
  readonly by: PersonId;
  readonly at: Instant;
}

/** Goods that left one store and never came to the other. */
export interface Loss {
  readonly id: string;
  readonly quantity: Thousandths;
  readonly reason: string;
  readonly by: PersonId;
  readonly at: Instant;
}

/**
 * A part that moves from one store to another. Between the bins it is in transit: it is nobody's stock, and counts in nobody's on hand.
 */
export interface Transfer {
  readonly id: TransferId;
  readonly fromSiteId: SiteId;
  readonly toSiteId: SiteId;
  readonly fromStoreId: StoreId;
  readonly toStoreId: StoreId;
  readonly partId: PartId;
  /** How much was asked for, or sent where nobody asked. */
  readonly quantity: Thousandths;
  /** The job that waits for it; null for none. */
  readonly workOrderId: WorkOrderId | null;
  /** The request for which the store gets it; null for none. */
  readonly requestId: RequestId | null;
  readonly note: string;
  readonly askedBy: PersonId;
  readonly askedAt: Instant;
  /** Null while nothing was sent. */
  readonly sent: {
    readonly binId: BinId;
    readonly quantity: Thousandths;
    /** Who or what brings it, in words; empty where nobody said. */
    readonly along: string;
    readonly by: PersonId;
    readonly at: Instant;
    /** What one unit cost where it came from. */
    readonly unitPrice: UnitPrice;
  } | null;
  readonly arrivals: readonly Arrival[];
  readonly losses: readonly Loss[];
  /** Why nothing is sent; null where it may be. */
  readonly closed: {
    readonly is: 'declined' | 'withdrawn';
    readonly by: PersonId;
    readonly at: Instant;
    readonly reason: string;
  } | null;
  /** When it came to be known that nothing is left to do; null while something is. */
  readonly endedAt: Instant | null;
}

/** How a transfer stands: asked for, on its way, come in (or written off), or not to come. */
export const transferStates = ['asked', 'inTransit', 'arrived', 'lost', 'declined', 'withdrawn'] as const;
export type TransferState = (typeof transferStates)[number];

const sumOf = (some: readonly { readonly quantity: Thousandths }[]): Thousandths =>
  some.reduce((sum, { quantity }) => sum + quantity, 0);

/** What left one store and has neither come to the other nor was written off. */
export function inTransit({ sent, arrivals, losses }: Pick<Transfer, 'sent' | 'arrivals' | 'losses'>): Thousandths {
  return (sent?.quantity ?? 0) - sumOf(arrivals) - sumOf(losses);
}

export function transferState(transfer: Transfer): TransferState {
  if (transfer.sent === null) return transfer.closed?.is ?? 'asked';
  if (inTransit(transfer) > 0) return 'inTransit';
  return transfer.arrivals.length > 0 ? 'arrived' : 'lost';
}

/** The transfer with its end. */
export function withTransferEnd(transfer: Transfer, now: Instant): Transfer {
  const state = transferState(transfer);
  const isOver = state !== 'asked' && state !== 'inTransit';
  return { ...transfer, endedAt: isOver ? (transfer.endedAt ?? now) : null };
}
