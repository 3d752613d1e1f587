import type { BinId, PartId, WorkOrderId } from '../../../kernel/ids';
import { money, scaleAmount } from '../../../kernel/money/money';
import { formatQuantity, type Thousandths } from '../../../kernel/quantity/quantity';
import { hasRole } from '../../../operations/actor';
import { accepted, refuse, type OperationContext, type Outcome, type Result } from '../../../operations/operation';
import type { Records } from '../../../records/records';
import { currentOf } from '../../orders/work/entries';
import { entryBeside } from '../../orders/work/entry-ids';
import { findOpenWork, findOpenWorkOfSite, findWorkOfSite, newEntry } from '../../orders/work/guards';
import type { WorkOrder } from '../../orders/work/work-order';
import type { PartContent, UnitPrice } from './part-content';
import { amountOfPart, moveStock } from './part-use';
import { takenOf, type Taken } from './taken';

/**
 * What goes back costs as much less as it cost to take, in the middle of all that was taken: when all of it has gone back, nothing is
 * left of the cost.
 */
function returnedPrice(taken: Taken, quantity: Thousandths): Pick<PartContent, 'unitPrice' | 'cost'> {
  const unitPrice: UnitPrice = { minor: (taken.costMinor * 1000) / taken.quantity, currency: taken.currency };
  return { unitPrice, cost: scaleAmount([taken.costMinor, -quantity], taken.quantity, taken.currency) };
}

/**
 * After what was taken of a part has changed: no more of it may have gone back than was taken, and what went back costs what it cost to
 * take by what now stands, so that nothing is left of the cost where nothing is left of the part. Each return whose worth changes is
 * amended beside the change.
 */
export async function revalueReturns(
  records: Records,
  work: WorkOrder,
  partId: PartId,
  context: OperationContext,
): Promise<Outcome> {
  const entries = await records.list('entries', 'workOrder', work.id);
  const standing = currentOf(entries, 'part').filter(({ content }) => content.partId === partId);
  const uses = standing.filter(({ content }) => content.quantity > 0).map(({ content }) => content);
  const returns = standing.filter(({ content }) => content.quantity < 0);
  const used = uses.reduce((sum, { quantity }) => sum + quantity, 0);
  const back = returns.reduce((sum, { content }) => sum - content.quantity, 0);
  if (back > used) {
    const unit = (await records.get('parts', partId))?.unit ?? '';
    return refuse('returned_more_than_taken', { taken: formatQuantity(used), unit });
  }
  const [first] = uses;
  if (first === undefined) return accepted;
  const { currency } = first.cost;
  // Of two currencies there is no middle price: each return keeps the worth that it had.
  if ([...uses, ...returns.map(({ content }) => content)].some(({ cost }) => cost.currency !== currency))
    return accepted;
  const usedMinor = uses.reduce((sum, { cost }) => sum + cost.minor, 0);
  const worthOf = (quantity: Thousandths): number => scaleAmount([usedMinor, quantity], used, currency).minor;
  let before = 0;
  for (const [index, { id, assetId, by, content }] of returns.entries()) {
    const after = before - content.quantity;
    const cost = money(worthOf(before) - worthOf(after), currency);
    before = after;
    if (cost.minor === content.cost.minor) continue;
    const unitPrice = { minor: (usedMinor * 1000) / used, currency };
    const entry = newEntry(work, { ...content, unitPrice, cost }, context);
    const worth = entryBeside(context.entryId, `worth-${index + 1}`);
    await records.put('entries', { ...entry, id: worth, assetId, by, amends: id });
  }
  return accepted;
}

/** What goes back into a bin. */
interface GoesBack {
  readonly partId: PartId;
  readonly binId: BinId;
  readonly quantity: Thousandths;
}

/** Puts back what was taken on a job and not used: never more than was taken there. */
export async function putBack(
  records: Records,
  work: WorkOrder,
  { partId, binId, quantity }: GoesBack,
  context: OperationContext,
): Promise<Outcome> {
  const amount = await amountOfPart(records, { partId, binId, quantity }, context);
  if (!amount.ok) return amount;
  const taken = await takenOn(records, work.id, partId);
  if (taken === null || quantity > taken.quantity) {
    const values = { taken: formatQuantity(taken?.quantity ?? 0), unit: amount.value.part.unit };
    return refuse('returned_more_than_taken', values, 'quantity');
  }
  const content = { kind: 'part', partId, binId, quantity: -quantity, ...returnedPrice(taken, quantity) } as const;
  await records.put('entries', { ...newEntry(work, content, context), assetId: taken.assetId });
  await moveStock(records, work, { partId, binId }, quantity, 'return', context);
  return accepted;
}

/**
 * The job to which something is put back: while it is open, and for those of the store, whoever has it, until a lead has accepted it,
 * since what was not used is brought when the work is done.
 */
export async function findWorkToReturnTo(
  records: Records,
  id: WorkOrderId,
  context: OperationContext,
): Promise<Result<WorkOrder>> {
  if (!hasRole(context.person, ['storekeeper'])) return findOpenWork(records, id, context);
  const found = await findWorkOfSite(records, id, context);
  return found.ok && found.value.state !== 'finished' ? findOpenWorkOfSite(records, id, context) : found;
}

/** As `takenOf`, from the records. */
async function takenOn(records: Records, workOrderId: WorkOrderId, partId: PartId): Promise<Taken | null> {
  return takenOf(await records.list('entries', 'workOrder', workOrderId), partId);
}
