import type { BinId, PartId, SiteId } from '../../../kernel/ids';
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
import { averageAfterReceipt } from './moving-average';
import { moveStock } from './part-use';
import { currenciesAt, sitePriceId, unitPriceAt } from './prices';
import { stockLevelId, type Part } from './stock';

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
async function findPart(
  records: Records,
  args: { readonly partId: PartId; readonly binId: BinId },
  quantity: number,
  context: OperationContext,
): Promise<Result<{ readonly part: Part; readonly siteId: SiteId }>> {
  const bin = await records.get('bins', args.binId);
  if (bin === undefined || !context.person.siteIds.includes(bin.siteId))
    return refuse('not_found', { what: 'bin' }, 'binId');
  const part = await records.get('parts', args.partId);
  if (part === undefined) return refuse('not_found', { what: 'part' }, 'partId');
  if (part.isWhole && quantity % 1000 !== 0) return refuse('quantity_not_whole', { unit: part.unit }, 'quantity');
  return { ok: true, value: { part, siteId: bin.siteId } };
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
    const found = await findPart(records, args, args.quantity, context);
    if (!found.ok) return found;
    const level = await records.get('stock', stockLevelId(args.partId, args.binId));
    await moveStock(records, null, args, args.quantity - (level?.onHand ?? 0), 'count', context);
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
    const found = await findPart(records, args, args.quantity, context);
    if (!found.ok) return found;
    const { part, siteId } = found.value;
    const levels = await records.list('stock', 'part', args.partId);
    const onHand = levels.reduce((sum, level) => (level.siteId === siteId ? sum + level.onHand : sum), 0);
    const before = await unitPriceAt(records, part, siteId);
    const currencies = await currenciesAt(records, siteId);
    // What is there was bought in another currency: no average can be made of the two.
    const counts = before !== null && before.currency === currencies?.ofSite;
    const priceMinor = averageAfterReceipt(
      { quantity: counts ? onHand : 0, priceMinor: before?.minor ?? 0 },
      { quantity: args.quantity, priceMinor: unitPriceMinor },
    );
    await records.put('sitePrices', { id: sitePriceId(siteId, part.id), siteId, partId: part.id, priceMinor });
    await moveStock(records, null, args, args.quantity, 'receipt', context);
    return accepted;
  },
});

export const storeOperations = { 'stock.count': count, 'stock.receive': receive };
