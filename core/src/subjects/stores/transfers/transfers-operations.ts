import {
  asId,
  type BinId,
  type PartId,
  type RequestId,
  type StoreId,
  type TransferId,
  type WorkOrderId,
} from '../../../kernel/ids';
import { formatQuantity, type Thousandths } from '../../../kernel/quantity/quantity';
import {
  argsSchema,
  idField,
  optionalIdField,
  optionalTextField,
  textField,
  wholeField,
} from '../../../kernel/schema/fields';
import {
  accepted,
  defineOperation,
  refuse,
  rowNamed,
  type OperationContext,
  type Outcome,
  type Result,
} from '../../../operations/operation';
import type { Records } from '../../../records/records';
import { amountFromBin, amountOfPart, moveStock } from '../stock/part-use';
import { currenciesAt, unitPriceAt } from '../stock/prices';
import type { Part, Store } from '../stock/stock';
import { takeInAtPrice } from '../stock/take-in';
import { inTransit, withTransferEnd, type Transfer } from './transfer';

const anybody = ['technician', 'lead', 'storekeeper'] as const;
const ofStores = ['storekeeper', 'lead'] as const;
const onTransfer = { transferId: idField<TransferId>() };
/** In thousandths: more than a million of anything is a slip of the finger. */
const MOST = 1e9;
const amountField = () => wholeField().min(1, 'Give an amount above zero.').max(MOST, 'That is too much.');

interface Ends {
  readonly from: Store;
  readonly to: Store;
  readonly part: Part;
}

/** The two stores, of which one at least is on a site of the person, and the part. */
async function findEnds(
  records: Records,
  args: {
    readonly fromStoreId: StoreId;
    readonly toStoreId: StoreId;
    readonly partId: PartId;
    readonly quantity: number;
  },
  { person }: OperationContext,
): Promise<Result<Ends>> {
  if (args.fromStoreId === args.toStoreId) return refuse('transfer_same_store', {}, 'toStoreId');
  const from = await records.get('stores', args.fromStoreId);
  const to = await records.get('stores', args.toStoreId);
  if (from === undefined) return refuse('not_found', { what: 'store' }, 'fromStoreId');
  if (to === undefined) return refuse('not_found', { what: 'store' }, 'toStoreId');
  if (![from.siteId, to.siteId].some((site) => person.siteIds.includes(site)))
    return refuse('not_found', { what: 'store' }, 'toStoreId');
  const part = await records.get('parts', args.partId);
  if (part === undefined) return refuse('not_found', { what: 'part' }, 'partId');
  if (part.isWhole && args.quantity % 1000 !== 0) return refuse('quantity_not_whole', { unit: part.unit }, 'quantity');
  return { ok: true, value: { from, to, part } };
}

function newTransfer(
  { from, to, part }: Ends,
  given: Pick<Transfer, 'quantity' | 'workOrderId' | 'requestId' | 'note'>,
  context: OperationContext,
): Transfer {
  return {
    id: asId<TransferId>(context.operationId),
    fromSiteId: from.siteId,
    toSiteId: to.siteId,
    fromStoreId: from.id,
    toStoreId: to.id,
    partId: part.id,
    ...given,
    askedBy: context.person.id,
    askedAt: context.at,
    sent: null,
    arrivals: [],
    losses: [],
    closed: null,
    endedAt: null,
  };
}

const betweenStores = {
  fromStoreId: idField<StoreId>(),
  toStoreId: idField<StoreId>(),
  partId: idField<PartId>(),
  quantity: amountField(),
};
const readsStores = (named: {
  readonly fromStoreId?: string;
  readonly toStoreId?: string;
  readonly partId?: string;
}) => [rowNamed('stores', named.fromStoreId), rowNamed('stores', named.toStoreId), rowNamed('parts', named.partId)];

/** A store, or a job, asks another store for a part. */
const ask = defineOperation({
  label: 'what was asked of another store',
  inLog: 'forLeads',
  governs: 'nothing',
  roles: anybody,
  schema: argsSchema({
    ...betweenStores,
    workOrderId: optionalIdField<WorkOrderId>(),
    requestId: optionalIdField<RequestId>(),
    note: optionalTextField(),
  }),
  reads: readsStores,
  correct: { fields: { quantity: 'quantity' }, keepsTime: true },
  apply: async (records, { workOrderId, requestId, note, ...args }, context) => {
    const ends = await findEnds(records, args, context);
    if (!ends.ok) return ends;
    if (workOrderId !== null && (await records.get('workOrders', workOrderId)) === undefined)
      return refuse('not_found', { what: 'work order' }, 'workOrderId');
    const given = { quantity: args.quantity, workOrderId, requestId, note };
    await records.put('transfers', newTransfer(ends.value, given, context));
    return accepted;
  },
});

/** A store sends a part to another without having been asked. */
const sendUnasked = defineOperation({
  label: 'what was sent to another store',
  inLog: 'forLeads',
  governs: 'nothing',
  roles: ofStores,
  schema: argsSchema({ ...betweenStores, binId: idField<BinId>(), along: optionalTextField() }),
  reads: ({ binId, ...named }) => [...readsStores(named), rowNamed('bins', binId)],
  correct: { fields: { quantity: 'quantity' }, keepsTime: true },
  apply: async (records, { binId, along, ...args }, context) => {
    const ends = await findEnds(records, args, context);
    if (!ends.ok) return ends;
    const given = { quantity: args.quantity, workOrderId: null, requestId: null, note: '' };
    return sendFrom(
      records,
      newTransfer(ends.value, given, context),
      { binId, quantity: args.quantity, along },
      context,
    );
  },
});

async function findTransfer(
  records: Records,
  id: TransferId,
  end: 'fromSiteId' | 'toSiteId' | 'any',
  { person }: OperationContext,
): Promise<Result<Transfer>> {
  const transfer = await records.get('transfers', id);
  const sites =
    transfer === undefined ? [] : end === 'any' ? [transfer.fromSiteId, transfer.toSiteId] : [transfer[end]];
  if (transfer === undefined || !sites.some((site) => person.siteIds.includes(site)))
    return refuse('not_found', { what: 'transfer' }, 'transferId');
  return { ok: true, value: transfer };
}

/** What was asked for is sent, or as much of it as there is: it leaves its bin and is on the way. */
const send = defineOperation({
  label: 'what was sent to another store',
  inLog: 'forLeads',
  governs: 'nothing',
  roles: ofStores,
  schema: argsSchema({
    ...onTransfer,
    binId: idField<BinId>(),
    quantity: amountField(),
    along: optionalTextField(),
  }),
  reads: ({ transferId, binId }) => [rowNamed('transfers', transferId), rowNamed('bins', binId)],
  correct: { fields: { quantity: 'quantity' }, keepsTime: true },
  apply: async (records, { transferId, ...given }, context) => {
    const found = await findTransfer(records, transferId, 'fromSiteId', context);
    if (!found.ok) return found;
    const { sent } = found.value;
    if (sent !== null) return refuse('transfer_sent', { who: await nameOf(records, sent.by) }, 'transferId');
    return sendFrom(records, found.value, given, context);
  },
});

interface Sending {
  readonly binId: BinId;
  readonly quantity: Thousandths;
  readonly along: string;
}

async function sendFrom(
  records: Records,
  transfer: Transfer,
  { binId, quantity, along }: Sending,
  context: OperationContext,
): Promise<Outcome> {
  const possible = await amountFromBin(records, { partId: transfer.partId, binId, quantity }, context);
  if (!possible.ok) return possible;
  const { part, bin } = possible.value;
  if (bin.storeId !== transfer.fromStoreId) return refuse('not_found', { what: 'bin' }, 'binId');
  const unitPrice = await unitPriceAt(records, part, transfer.fromSiteId);
  if (unitPrice === null) return refuse('not_found', { what: 'settings record' });
  const sent = { binId, quantity, along, by: context.person.id, at: context.at, unitPrice };
  await moveStock(records, null, { partId: part.id, binId }, -quantity, 'transfer', context);
  // Whoever sends did not know that it was not wanted any more: it is on its way all the same.
  await records.put('transfers', withTransferEnd({ ...transfer, closed: null, sent }, context.now));
  return accepted;
}

const nameOf = async (records: Records, id: string): Promise<string> =>
  (await records.get('people', id))?.name ?? 'Somebody';

/** What is on the way, as far as so much of it is. */
async function onTheWay(records: Records, transfer: Transfer, quantity: Thousandths, unit: string): Promise<Outcome> {
  if (transfer.sent === null) return refuse('transfer_not_sent', {}, 'transferId');
  const left = inTransit(transfer);
  if (quantity <= left) return accepted;
  const last = transfer.arrivals.at(-1) ?? transfer.losses.at(-1);
  const who = last === undefined ? 'somebody' : await nameOf(records, last.by);
  return refuse('transfer_not_in_transit', { left: formatQuantity(left), unit, who }, 'quantity');
}

/** It came, or a part of it: it lies in a bin again, and costs there what it cost where it came from. */
const arrive = defineOperation({
  label: 'what arrived from another store',
  inLog: 'forLeads',
  governs: 'nothing',
  roles: anybody,
  schema: argsSchema({ ...onTransfer, binId: idField<BinId>(), quantity: amountField() }),
  reads: ({ transferId, binId }) => [rowNamed('transfers', transferId), rowNamed('bins', binId)],
  correct: { fields: { quantity: 'quantity' }, keepsTime: true },
  apply: async (records, { transferId, binId, quantity }, context) => {
    const found = await findTransfer(records, transferId, 'toSiteId', context);
    if (!found.ok) return found;
    const transfer = found.value;
    const possible = await amountOfPart(records, { partId: transfer.partId, binId, quantity }, context);
    if (!possible.ok) return possible;
    const { part, bin } = possible.value;
    if (bin.storeId !== transfer.toStoreId) return refuse('not_found', { what: 'bin' }, 'binId');
    const isThere = await onTheWay(records, transfer, quantity, part.unit);
    if (!isThere.ok) return isThere;
    const price = transfer.sent?.unitPrice;
    const currencies = await currenciesAt(records, transfer.toSiteId);
    if (transfer.fromSiteId !== transfer.toSiteId && price?.currency === currencies?.ofSite && price !== undefined)
      await takeInAtPrice(records, part, transfer.toSiteId, { quantity, priceMinor: price.minor });
    await moveStock(records, null, { partId: part.id, binId }, quantity, 'transfer', context);
    const arrival = { id: context.operationId, binId, quantity, by: context.person.id, at: context.at };
    const arrivals = [...transfer.arrivals, arrival];
    await records.put('transfers', withTransferEnd({ ...transfer, arrivals }, context.now));
    return accepted;
  },
});

/** What was on the way will not come any more. */
const writeOff = defineOperation({
  label: 'writing off what was on the way',
  inLog: 'forLeads',
  governs: 'nothing',
  roles: ofStores,
  schema: argsSchema({ ...onTransfer, quantity: amountField(), reason: textField(200) }),
  reads: ({ transferId }) => [rowNamed('transfers', transferId)],
  correct: { fields: { quantity: 'quantity', reason: 'text' }, keepsTime: true },
  apply: async (records, { transferId, quantity, reason }, context) => {
    const found = await findTransfer(records, transferId, 'any', context);
    if (!found.ok) return found;
    const transfer = found.value;
    const unit = (await records.get('parts', transfer.partId))?.unit ?? '';
    const isThere = await onTheWay(records, transfer, quantity, unit);
    if (!isThere.ok) return isThere;
    const loss = { id: context.operationId, quantity, reason, by: context.person.id, at: context.at };
    const losses = [...transfer.losses, loss];
    await records.put('transfers', withTransferEnd({ ...transfer, losses }, context.now));
    return accepted;
  },
});

/** It is not sent: the other store cannot, or whoever asked needs it no more. */
const close = defineOperation({
  label: 'that nothing is sent',
  inLog: 'forLeads',
  governs: 'nothing',
  roles: anybody,
  schema: argsSchema({ ...onTransfer, reason: textField(200) }),
  reads: ({ transferId }) => [rowNamed('transfers', transferId)],
  correct: { fields: { reason: 'text' }, keepsTime: false },
  apply: async (records, { transferId, reason }, context) => {
    const found = await findTransfer(records, transferId, 'any', context);
    if (!found.ok) return found;
    const transfer = found.value;
    if (transfer.sent !== null)
      return refuse('transfer_sent', { who: await nameOf(records, transfer.sent.by) }, 'transferId');
    if (transfer.closed !== null) return accepted;
    const { person, at, now } = context;
    const is = transfer.askedBy === person.id ? 'withdrawn' : 'declined';
    const closed = { is, by: person.id, at, reason } as const;
    await records.put('transfers', withTransferEnd({ ...transfer, closed }, now));
    return accepted;
  },
});

/** From one bin into another of the same site, at once: into one's bag or vehicle, or to another place on the shelves. */
const move = defineOperation({
  label: 'what was moved between bins',
  inLog: 'forLeads',
  governs: 'nothing',
  roles: anybody,
  schema: argsSchema({
    partId: idField<PartId>(),
    fromBinId: idField<BinId>(),
    toBinId: idField<BinId>(),
    quantity: amountField(),
  }),
  reads: ({ partId, fromBinId, toBinId }) => [
    rowNamed('parts', partId),
    rowNamed('bins', fromBinId),
    rowNamed('bins', toBinId),
  ],
  correct: { fields: { quantity: 'quantity' }, keepsTime: true },
  apply: async (records, { partId, fromBinId, toBinId, quantity }, context) => {
    if (fromBinId === toBinId) return refuse('move_same_bin', {}, 'toBinId');
    const from = await amountFromBin(records, { partId, binId: fromBinId, quantity }, context);
    if (!from.ok) return from;
    const to = await amountFromBin(records, { partId, binId: toBinId, quantity }, context);
    if (!to.ok) return to;
    if (from.value.bin.siteId !== to.value.bin.siteId) return refuse('move_other_site', {}, 'toBinId');
    await moveStock(records, null, { partId, binId: fromBinId }, -quantity, 'transfer', context, 'from');
    await moveStock(records, null, { partId, binId: toBinId }, quantity, 'transfer', context, 'to');
    return accepted;
  },
});

export const transfersOperations = {
  'transfer.ask': ask,
  'transfer.send-unasked': sendUnasked,
  'transfer.send': send,
  'transfer.arrive': arrive,
  'transfer.write-off': writeOff,
  'transfer.close': close,
  'stock.move': move,
};
