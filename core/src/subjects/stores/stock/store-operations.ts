import type { BinId, PartId, SiteId, StoreId } from '../../../kernel/ids';
import { argsSchema, idField, numberField, wholeField } from '../../../kernel/schema/fields';
import {
  accepted,
  defineOperation,
  refuse,
  rowNamed,
  type Result,
  type OperationContext,
} from '../../../operations/operation';
import type { Records } from '../../../records/records';
import { emptyLevel, moveStock } from './part-use';
import { postCounted } from './post-count';
import type { Part } from './stock';
import { takeInAtPrice } from './take-in';

const inBin = { partId: idField<PartId>(), binId: idField<BinId>() };
const readsBin = ({ partId, binId }: { readonly partId?: string; readonly binId?: string }) => [
  rowNamed('parts', partId),
  rowNamed('bins', binId),
  rowNamed('stock', partId === undefined || binId === undefined ? undefined : `${partId}@${binId}`),
];
/** In thousandths: more than a million of anything is a slip of the finger. */
const MOST = 1e9;
const LARGEST_PRICE = 1e10;

/** The part, if its bin is on a site of the person, and the amount can be. */
export async function findPartInBin(
  records: Records,
  args: { readonly partId: PartId; readonly binId: BinId },
  quantity: number,
  context: OperationContext,
): Promise<Result<{ readonly part: Part; readonly siteId: SiteId; readonly storeId: StoreId }>> {
  const bin = await records.get('bins', args.binId);
  if (bin === undefined || !context.person.siteIds.includes(bin.siteId))
    return refuse('not_found', { what: 'bin' }, 'binId');
  const part = await records.get('parts', args.partId);
  if (part === undefined) return refuse('not_found', { what: 'part' }, 'partId');
  if (part.isWhole && quantity % 1000 !== 0) return refuse('quantity_not_whole', { unit: part.unit }, 'quantity');
  return { ok: true, value: { part, siteId: bin.siteId, storeId: bin.storeId } };
}

/** Somebody counted: the bin holds so much, whatever the books said. */
const count = defineOperation({
  label: 'this count',
  inLog: 'forLeads',
  governs: 'nothing',
  roles: ['storekeeper', 'lead'],
  schema: argsSchema({ ...inBin, quantity: wholeField().min(0, 'Count from zero up.').max(MOST, 'That is too much.') }),
  reads: readsBin,
  correct: { fields: { quantity: 'quantity' }, keepsTime: true },
  apply: async (records, args, context) => {
    const found = await findPartInBin(records, args, args.quantity, context);
    if (!found.ok) return found;
    const empty = await emptyLevel(records, args);
    const counted = { ...args, id: context.operationId, at: context.at, books: null };
    if (empty !== null) await postCounted(records, counted, empty, context);
    return accepted;
  },
});

/**
 * So much came into the bin at a price, in the currency of its site: there the part costs the average of what was there and what came.
 * What it costs elsewhere stays as it is.
 */
const receive = defineOperation({
  label: 'this receipt',
  inLog: 'forLeads',
  governs: 'nothing',
  roles: ['storekeeper', 'lead'],
  schema: argsSchema({
    ...inBin,
    quantity: wholeField().min(1, 'Give an amount above zero.').max(MOST, 'That is too much.'),
    unitPriceMinor: numberField().min(0, 'Give a price of zero or more.').max(LARGEST_PRICE, 'That is too much.'),
  }),
  reads: readsBin,
  correct: { fields: { quantity: 'quantity' }, keepsTime: true },
  apply: async (records, { unitPriceMinor, ...args }, context) => {
    const found = await findPartInBin(records, args, args.quantity, context);
    if (!found.ok) return found;
    const { part, siteId } = found.value;
    await takeInAtPrice(records, part, siteId, { quantity: args.quantity, priceMinor: unitPriceMinor });
    await moveStock(records, null, args, args.quantity, 'receipt', context);
    return accepted;
  },
});

export const storeOperations = { 'stock.count': count, 'stock.receive': receive };
