import type { BinId, PartId } from '../../kernel/ids';
import { scaleAmount, type Money } from '../../kernel/money/money';
import { formatQuantity, type Thousandths } from '../../kernel/quantity/quantity';
import { refuse, type Found, type OperationContext } from '../../operations/operation';
import type { Records } from '../../records/records';
import { SETTINGS_ID } from '../settings/settings';
import type { WorkOrder } from '../work/work-order';
import type { PartContent, UnitPrice } from './part-content';
import { stockLevelId, type MovementReason } from './stock';

/** What an amount of a part costs at a price for one unit. */
export function partCost(quantity: Thousandths, unitPrice: UnitPrice): Money {
  return scaleAmount([unitPrice.minor, quantity], 1000, unitPrice.currency);
}

/**
 * Checks an amount against the bin and works out what it costs.
 *
 * @param before the entry that this one amends: what it had taken of the bin's stock, and at what price
 */
export async function partContent(
  records: Records,
  input: { readonly partId: PartId; readonly binId: BinId; readonly quantity: Thousandths },
  context: OperationContext,
  before?: Pick<PartContent, 'quantity' | 'unitPrice'>,
): Promise<Found<PartContent>> {
  if (input.quantity <= 0) return refuse('quantity_not_positive', {}, 'quantity');
  const part = await records.get('parts', input.partId);
  if (part === undefined) return refuse('not_found', { what: 'part' }, 'partId');
  if (part.isWhole && input.quantity % 1000 !== 0) {
    return refuse('quantity_not_whole', { unit: part.unit }, 'quantity');
  }
  const bin = await records.get('bins', input.binId);
  const level = await records.get('stock', stockLevelId(input.partId, input.binId));
  if (bin === undefined || level === undefined || !context.person.siteIds.includes(bin.siteId)) {
    return refuse('not_found', { what: 'part in this bin' }, 'binId');
  }
  const available = level.onHand + (before?.quantity ?? 0);
  if (input.quantity > available) {
    const values = { onHand: formatQuantity(available), unit: part.unit, bin: bin.label };
    return refuse('not_enough_stock', values, 'quantity');
  }
  const settings = await records.get('settings', SETTINGS_ID);
  if (settings === undefined) return refuse('not_found', { what: 'settings record' });
  const unitPrice = before?.unitPrice ?? { minor: part.priceMinor, currency: settings.currency };
  const { partId, binId, quantity } = input;
  const cost = partCost(quantity, unitPrice);
  return { ok: true, value: { kind: 'part', partId, binId, quantity, unitPrice, cost } };
}

/** Adds a movement and carries it into the level of the bin. */
export async function moveStock(
  records: Records,
  work: WorkOrder,
  where: { readonly partId: PartId; readonly binId: BinId },
  change: Thousandths,
  reason: MovementReason,
  context: OperationContext,
): Promise<void> {
  const level = await records.get('stock', stockLevelId(where.partId, where.binId));
  if (level === undefined || change === 0) return;
  await records.put('stock', { ...level, onHand: level.onHand + change });
  await records.put('movements', {
    id: `${context.operationId}:${where.binId}`,
    partId: where.partId,
    binId: where.binId,
    change,
    reason,
    at: context.at,
    workOrderId: work.id,
    entryId: context.entryId,
  });
}
