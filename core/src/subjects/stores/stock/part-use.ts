import type { BinId, PartId } from '../../../kernel/ids';
import type { Thousandths } from '../../../kernel/quantity/quantity';
import { refuse, type Result, type OperationContext } from '../../../operations/operation';
import type { Records } from '../../../records/records';
import type { WorkOrder } from '../../orders/work/work-order';
import type { PartContent } from './part-content';
import { partCost } from './part-cost';
import { unitPriceAt } from './prices';
import { stockLevelId, type Bin, type Movement, type MovementReason, type Part, type StockLevel } from './stock';

/** More than a million of anything is a slip of the finger. */
const MOST_AT_ONCE = 1e9;

/** An amount of a part from a bin, as it is used or planned. */
interface FromBin {
  readonly partId: PartId;
  readonly binId: BinId;
  readonly quantity: Thousandths;
}

interface PartAndBin {
  readonly part: Part;
  readonly bin: Bin;
}

/** The part and the bin, where so much of the one can be meant from the other, by somebody who has its site. */
export async function amountFromBin(
  records: Records,
  from: FromBin,
  context: OperationContext,
): Promise<Result<PartAndBin>> {
  if (from.quantity > MOST_AT_ONCE) return refuse('quantity_too_large', {}, 'quantity');
  return amountOfPart(records, from, context);
}

/** As `amountFromBin`, however much it is: what was taken several times may come back at once. */
export async function amountOfPart(
  records: Records,
  { partId, binId, quantity }: FromBin,
  context: OperationContext,
): Promise<Result<PartAndBin>> {
  if (quantity <= 0) return refuse('quantity_not_positive', {}, 'quantity');
  const part = await records.get('parts', partId);
  if (part === undefined) return refuse('not_found', { what: 'part' }, 'partId');
  if (part.isWhole && quantity % 1000 !== 0) return refuse('quantity_not_whole', { unit: part.unit }, 'quantity');
  const bin = await records.get('bins', binId);
  if (bin === undefined || !context.person.siteIds.includes(bin.siteId))
    return refuse('not_found', { what: 'bin' }, 'binId');
  return { ok: true, value: { part, bin } };
}

/**
 * Checks an amount and works out what it costs. More may be taken than a bin holds by the books: what was taken is true, and the
 * books are counted.
 *
 * @param before the entry that this one amends: what it had taken of the bin's stock, and at what price
 */
export async function partContent(
  records: Records,
  input: FromBin,
  context: OperationContext,
  before?: Pick<PartContent, 'quantity' | 'unitPrice'>,
): Promise<Result<PartContent>> {
  const possible = await amountFromBin(records, input, context);
  if (!possible.ok) return possible;
  const { part, bin } = possible.value;
  const level = await records.get('stock', stockLevelId(input.partId, input.binId));
  const onHand = (level?.onHand ?? 0) + (before?.quantity ?? 0) - input.quantity;
  const unitPrice = before?.unitPrice ?? (await unitPriceAt(records, part, bin.siteId));
  if (unitPrice === null) return refuse('not_found', { what: 'settings record' });
  const { partId, binId, quantity } = input;
  const cost = partCost(quantity, unitPrice);
  const belowZero = onHand < 0 ? { belowZero: { part: part.number, bin: bin.label, unit: part.unit, onHand } } : {};
  return { ok: true, value: { kind: 'part', partId, binId, quantity, unitPrice, cost, ...belowZero } };
}

/** The level of a part in a bin that never held it; null where there is no such bin. */
export async function emptyLevel(
  records: Records,
  { partId, binId }: { readonly partId: PartId; readonly binId: BinId },
): Promise<StockLevel | null> {
  const bin = await records.get('bins', binId);
  if (bin === undefined) return null;
  return { id: stockLevelId(partId, binId), siteId: bin.siteId, partId, binId, onHand: 0, lowLevel: 0 };
}

/**
 * Adds a movement and carries it into the level of the bin. What moved before the bin was counted, and comes to be known after, was in
 * that count already: the level stays, and a second movement says so.
 *
 * @param work for which it moved; null for none
 * @param beside tells several movements of one operation in one bin apart
 */
export async function moveStock(
  records: Records,
  work: WorkOrder | null,
  where: { readonly partId: PartId; readonly binId: BinId },
  change: Thousandths,
  reason: MovementReason,
  context: OperationContext,
  beside = '',
): Promise<void> {
  const level = await records.get('stock', stockLevelId(where.partId, where.binId));
  if (change === 0) return;
  const before = level ?? (await emptyLevel(records, where));
  if (before === null) return;
  const { counted } = before;
  const wasCounted = counted !== undefined && context.at < counted.at;
  const received = reason === 'receipt' ? { receivedAt: context.at } : {};
  await records.put('stock', { ...before, ...received, onHand: before.onHand + (wasCounted ? 0 : change) });
  const movement: Movement = {
    id: `${context.operationId}:${where.binId}${beside === '' ? '' : `:${beside}`}`,
    partId: where.partId,
    binId: where.binId,
    change,
    reason,
    at: context.at,
    workOrderId: work?.id ?? null,
    entryId: work === null ? null : context.entryId,
    by: context.person.id,
  };
  await records.put('movements', movement);
  if (!wasCounted) return;
  const { id: _, ...same } = movement;
  await records.put('movements', {
    ...same,
    id: `${movement.id}:counted`,
    change: -change,
    reason: 'count',
    at: counted.at,
  });
}
