import type { BinId, PartId } from '../../../kernel/ids';
import type { Thousandths } from '../../../kernel/quantity/quantity';
import type { Instant } from '../../../kernel/time/instant';
import type { OperationContext } from '../../../operations/operation';
import type { Records } from '../../../records/records';
import { onHandAfter, stockLevelId, type Movement, type StockLevel } from './stock';

/** What lay in a bin at a moment, by counting. */
export interface Counted {
  /** Tells two counts of the same moment apart. */
  readonly id: string;
  readonly partId: PartId;
  readonly binId: BinId;
  readonly quantity: Thousandths;
  readonly at: Instant;
  /** What the books said then on the device of whoever counted; null where it did not say. */
  readonly books: Thousandths | null;
}

/** Whether a count stands against the one by which the level stands: the later one does, whichever comes to be known first. */
function isNewer({ at, id }: Counted, { counted }: Pick<StockLevel, 'counted'>): boolean {
  if (counted === undefined || at > counted.at) return true;
  return at === counted.at && id > counted.id;
}

/** Whether something moved after a moment; what a count itself changed at that moment did not, nor what the books began with. */
function isAfter(moment: Instant): (movement: Movement) => boolean {
  return ({ at, reason }) => at > moment || (at === moment && reason !== 'count' && reason !== 'opening');
}

/**
 * What moved since a count. Where all movements of the bin are at hand (on the server) they say it exactly; a phone, which does not
 * have those of others, takes what the books changed since they were read.
 */
function movedSince(counted: Counted, level: StockLevel, movements: readonly Movement[]): Thousandths {
  const isWhole = onHandAfter(movements) === level.onHand;
  if (!isWhole && counted.books !== null) return level.onHand - counted.books;
  return onHandAfter(movements.filter(isAfter(counted.at)));
}

/**
 * Brings the books to what was counted, and what moved since: the same whatever the order in which counts, uses and receipts come to be
 * known. A count that an earlier-known, later-made one has overtaken changes nothing.
 *
 * @returns by how much the books were off; null where a later count stands
 */
export async function postCounted(
  records: Records,
  counted: Counted,
  empty: StockLevel,
  context: OperationContext,
): Promise<Thousandths | null> {
  const { partId, binId, at, id } = counted;
  const level = (await records.get('stock', stockLevelId(partId, binId))) ?? empty;
  if (!isNewer(counted, level)) return null;
  const movements = await records.list('movements', 'level', stockLevelId(partId, binId));
  const onHand = counted.quantity + movedSince(counted, level, movements);
  const change = onHand - level.onHand;
  await records.put('stock', { ...level, onHand, counted: { at, id } });
  if (change === 0) return 0;
  await records.put('movements', {
    id: `${context.operationId}:${binId}`,
    partId,
    binId,
    change,
    reason: 'count',
    at,
    workOrderId: null,
    entryId: null,
    by: context.person.id,
  });
  return change;
}
