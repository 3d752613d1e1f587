import type { Thousandths } from '../../../kernel/quantity/quantity';
import { addMinutes, type Instant } from '../../../kernel/time/instant';
import { isOpen } from '../../orders/work/states';
import type { WorkOrder } from '../../orders/work/work-order';
import type { StoreRequest } from '../requests/request';
import type { StockLevel } from '../stock/stock';
import { inTransit, type Transfer } from '../transfers/transfer';
import { varianceOf, type Count } from './count';

/** What may be behind a variance, with how much of it that would explain; null where that is not known. */
export type LikelyReason =
  /** It was handed out and lies ready: it left the bin by the books, and is still on the shelf. */
  | { readonly is: 'liesReady'; readonly requestId: StoreRequest['id']; readonly quantity: Thousandths }
  /** It is on the way by the books, and may be here already. */
  | { readonly is: 'arrived'; readonly transferId: Transfer['id']; readonly quantity: Thousandths }
  /** It was received lately: the goods may not be unpacked. */
  | { readonly is: 'notUnpacked'; readonly receivedAt: Instant; readonly quantity: null }
  /** A job that has begun needs it from this bin, and has written none. */
  | {
      readonly is: 'job';
      readonly workOrderId: WorkOrder['id'];
      readonly number: string;
      readonly quantity: Thousandths;
    };

export interface ReasonRows {
  readonly level: StockLevel | undefined;
  readonly requests: readonly StoreRequest[];
  readonly transfers: readonly Transfer[];
  readonly works: readonly WorkOrder[];
  /** What was used of the part on a job, as far as this phone knows. */
  readonly usedOn: (workOrderId: WorkOrder['id']) => Thousandths;
}

/** Goods are unpacked within so many days. Common practice. */
const UNPACKED_WITHIN_DAYS = 3;
const DAY_MINUTES = 24 * 60;

/**
 * What a variance is likely to come from, the likeliest first: what explains exactly as much stands before what explains more or less of
 * it. Nothing where the count meets the books, or nothing is known.
 */
export function likelyReasons(count: Count, rows: ReasonRows): readonly LikelyReason[] {
  const variance = varianceOf(count);
  const found = variance > 0 ? whyMore(count, rows) : variance < 0 ? whyLess(count, rows) : [];
  const off = (reason: LikelyReason): number =>
    reason.quantity === null ? Number.POSITIVE_INFINITY : Math.abs(reason.quantity - Math.abs(variance));
  return [...found].sort((a, b) => off(a) - off(b) || 0);
}

function whyMore({ partId, binId, storeId }: Count, { requests, transfers }: ReasonRows): LikelyReason[] {
  const ready = requests.flatMap(({ id, handouts }) =>
    handouts
      .filter((each) => each.binId === binId && each.partId === partId && each.receivedAt === null)
      .map((each): LikelyReason => ({ is: 'liesReady', requestId: id, quantity: each.quantity - each.returned })),
  );
  const arrived = transfers
    .filter((each) => each.partId === partId && each.toStoreId === storeId && inTransit(each) > 0)
    .map((each): LikelyReason => ({ is: 'arrived', transferId: each.id, quantity: inTransit(each) }));
  return [...ready, ...arrived];
}

function whyLess({ partId, binId, at }: Count, { level, works, usedOn }: ReasonRows): LikelyReason[] {
  const begun = works
    .filter(({ state, startedAt }) => isOpen(state) && startedAt !== null)
    .flatMap((work): LikelyReason[] => {
      const needed = work.kit
        .filter((line) => line.partId === partId && line.binId === binId && line.unit === null)
        .reduce((sum, line) => sum + line.quantity, 0);
      const unwritten = needed - usedOn(work.id);
      const { id, number } = work;
      return unwritten > 0 ? [{ is: 'job', workOrderId: id, number, quantity: unwritten }] : [];
    });
  const received = level?.receivedAt;
  const isFresh = received !== undefined && received > addMinutes(at, -UNPACKED_WITHIN_DAYS * DAY_MINUTES);
  return isFresh ? [...begun, { is: 'notUnpacked', receivedAt: received, quantity: null }] : begun;
}
