import { asId, type AssetId, type PartId, type RequestId, type StoreId, type WorkOrderId } from '../../../kernel/ids';
import {
  argsSchema,
  idField,
  idFieldIfAny,
  keyField,
  optionalIdField,
  optionalInstantField,
  optionalTextField,
  textField,
  wholeField,
} from '../../../kernel/schema/fields';
import { optionalPhotoField } from '../../plant/files/photo-field';
import { parseInstant } from '../../../kernel/time/instant';
import { hasRole } from '../../../operations/actor';
import { madeKnownBy } from '../../../operations/known';
import {
  accepted,
  defineOperation,
  refuse,
  rowNamed,
  type OperationContext,
  type Result,
} from '../../../operations/operation';
import type { Records } from '../../../records/records';
import { findWorkOfSite } from '../../orders/work/guards';
import { isOpen } from '../../orders/work/states';
import { machineOfEntry } from '../../steps/steps/machine-of-entry';
import { findOpenRequest, findRequest } from './find-request';
import { openAmount, withEnd, type StoreRequest } from './request';

const anybody = ['technician', 'lead', 'storekeeper'] as const;
const onRequest = { requestId: idField<RequestId>() };
/** In thousandths: more than a million of anything is a slip of the finger. */
const MOST = 1e9;

/** What is asked for, if it can be had here at all. */
async function unitAsked(
  records: Records,
  { partId, quantity }: { readonly partId: PartId | null; readonly quantity: number },
  storeId: StoreId,
): Promise<Result<string>> {
  if (partId === null) return { ok: true, value: 'pcs' };
  const part = await records.get('parts', partId);
  if (part === undefined) return refuse('not_found', { what: 'part' }, 'partId');
  if (part.isWhole && quantity % 1000 !== 0) return refuse('quantity_not_whole', { unit: part.unit }, 'quantity');
  if (part.isObsolete && part.successorId !== null) {
    const bins = await Promise.all(
      (await records.list('stock', 'part', partId))
        .filter(({ onHand }) => onHand > 0)
        .map(({ binId }) => records.get('bins', binId)),
    );
    if (!bins.some((bin) => bin?.storeId === storeId)) {
      const successor = (await records.get('parts', part.successorId))?.number ?? 'its successor';
      const store = (await records.get('stores', storeId))?.name ?? 'the store';
      return refuse('request_obsolete', { part: part.number, store, successor }, 'partId');
    }
  }
  return { ok: true, value: part.unit };
}

/** For which machine of which open job it is; null for no job. */
async function machineAsked(
  records: Records,
  workOrderId: WorkOrderId | null,
  assetId: AssetId | undefined,
  context: OperationContext,
): Promise<Result<AssetId | null>> {
  if (workOrderId === null) return { ok: true, value: null };
  const work = await findWorkOfSite(records, workOrderId, context);
  if (!work.ok) return work;
  const { number, state } = work.value;
  if (!isOpen(state)) return refuse('work_order_closed', { number, state }, 'workOrderId');
  return machineOfEntry(records, work.value, { assetId });
}

/** Somebody asks a store for a part, for a job or for none; its id is that of the operation. */
const ask = defineOperation({
  label: 'what was asked of the store',
  inLog: 'forLeads',
  governs: 'nothing',
  roles: anybody,
  schema: argsSchema({
    storeId: idField<StoreId>(),
    workOrderId: optionalIdField<WorkOrderId>(),
    assetId: idFieldIfAny<AssetId>(),
    partId: optionalIdField<PartId>(),
    words: optionalTextField(500),
    photo: optionalPhotoField(),
    quantity: wholeField().min(1, 'Give an amount above zero.').max(MOST, 'That is too much.'),
    neededBy: optionalInstantField(),
    bringTo: optionalTextField(),
  }),
  file: 'photo.fileId',
  reads: ({ storeId, workOrderId, partId }) => [
    rowNamed('stores', storeId),
    rowNamed('workOrders', workOrderId),
    rowNamed('parts', partId),
  ],
  correct: { fields: { quantity: 'quantity', words: 'text' }, keepsTime: true },
  apply: async (records, args, context) => {
    const { storeId, workOrderId, assetId, partId, words, photo, quantity, neededBy, bringTo } = args;
    if (partId === null && words.trim() === '') return refuse('request_says_nothing', {}, 'words');
    const store = await records.get('stores', storeId);
    if (store === undefined || !context.person.siteIds.includes(store.siteId))
      return refuse('not_found', { what: 'store' }, 'storeId');
    if (store.isAttended !== true) return refuse('request_store_not_attended', { store: store.name }, 'storeId');
    const machine = await machineAsked(records, workOrderId, assetId, context);
    if (!machine.ok) return machine;
    const unit = await unitAsked(records, { partId, quantity }, storeId);
    if (!unit.ok) return unit;
    await records.put('requests', {
      id: asId<RequestId>(context.operationId),
      siteId: store.siteId,
      storeId,
      workOrderId,
      assetId: machine.value,
      partId,
      words,
      photo,
      quantity,
      unit: unit.value,
      neededBy: neededBy === null ? null : parseInstant(neededBy),
      bringTo,
      askedBy: context.person.id,
      askedAt: context.at,
      handouts: [],
      tookItself: {},
      closed: null,
      endedAt: null,
    });
    return accepted;
  },
});

/** Another amount, another time or another place: said as a whole, so that it means the same whatever was said meanwhile. */
const change = defineOperation({
  label: 'the change of a request',
  inLog: 'forLeads',
  governs: 'nothing',
  roles: anybody,
  schema: argsSchema({
    ...onRequest,
    quantity: wholeField().min(1, 'Give an amount above zero.').max(MOST, 'That is too much.'),
    neededBy: optionalInstantField(),
    bringTo: optionalTextField(),
  }),
  reads: ({ requestId }) => [rowNamed('requests', requestId)],
  correct: { fields: { quantity: 'quantity' }, keepsTime: false },
  apply: async (records, { requestId, quantity, neededBy, bringTo }, context) => {
    const found = await findOpenRequest(records, requestId, context);
    if (!found.ok) return found;
    const mine = mayChange(found.value, context);
    if (!mine.ok) return mine;
    const unit = await unitAsked(records, { partId: found.value.partId, quantity }, found.value.storeId);
    if (!unit.ok) return unit;
    const by = neededBy === null ? null : parseInstant(neededBy);
    await records.put('requests', withEnd({ ...found.value, quantity, neededBy: by, bringTo }, context.now));
    return accepted;
  },
});

/** It is not needed any more: of what was not given yet, nothing is handed out. */
const withdraw = defineOperation({
  label: 'taking back a request',
  inLog: 'forLeads',
  governs: 'nothing',
  roles: anybody,
  schema: argsSchema({ ...onRequest, reason: optionalTextField() }),
  reads: ({ requestId }) => [rowNamed('requests', requestId)],
  correct: { fields: { reason: 'text' }, keepsTime: false },
  apply: async (records, { requestId, reason }, context) => {
    const found = await findRequest(records, requestId, context);
    if (!found.ok) return found;
    const mine = mayChange(found.value, context);
    if (!mine.ok) return mine;
    if (found.value.closed !== null) return accepted;
    if (openAmount(found.value) === 0) return refuse('request_given', {}, 'requestId');
    return close(records, found.value, 'withdrawn', reason === '' ? 'not needed any more' : reason, context);
  },
});

/** The store cannot give it, or not the rest of it. */
const decline = defineOperation({
  label: 'that the store cannot give it',
  inLog: 'forLeads',
  governs: 'nothing',
  roles: ['storekeeper', 'lead'],
  schema: argsSchema({ ...onRequest, reason: textField(200) }),
  reads: ({ requestId }) => [rowNamed('requests', requestId)],
  correct: { fields: { reason: 'text' }, keepsTime: false },
  apply: async (records, { requestId, reason }, context) => {
    const found = await findOpenRequest(records, requestId, context);
    if (!found.ok) return found;
    if (openAmount(found.value) === 0) return refuse('request_given', {}, 'requestId');
    return close(records, found.value, 'declined', reason, context);
  },
});

/** Whoever asked has in hand what lay ready or was on its way. Said twice, it counts once. */
const receive = defineOperation({
  label: 'that it was picked up',
  inLog: 'forLeads',
  governs: 'nothing',
  roles: anybody,
  schema: argsSchema({ ...onRequest, handoutId: keyField('Say what was picked up.') }),
  reads: ({ requestId }) => [rowNamed('requests', requestId)],
  correct: { fields: {}, keepsTime: true },
  apply: async (records, { requestId, handoutId }, context) => {
    const found = await findRequest(records, requestId, context);
    if (!found.ok) return found;
    const { handouts } = found.value;
    if (!handouts.some(({ id }) => id === handoutId)) return refuse('not_found', { what: 'hand-out' }, 'handoutId');
    const received = handouts.map((each) =>
      each.id === handoutId ? { ...each, receivedAt: each.receivedAt ?? context.at } : each,
    );
    await records.put('requests', withEnd({ ...found.value, handouts: received }, context.now));
    return accepted;
  },
});

/** Whoever asked may change it; so may a lead, and whoever keeps the store. */
function mayChange({ askedBy }: StoreRequest, { person }: OperationContext): Result<null> {
  return askedBy === person.id || hasRole(person, ['lead', 'storekeeper'])
    ? { ok: true, value: null }
    : refuse('request_of_another', {}, 'requestId');
}

async function close(
  records: Records,
  request: StoreRequest,
  is: 'declined' | 'withdrawn',
  reason: string,
  context: OperationContext,
) {
  const closed = { is, by: context.person.id, at: context.at, reason, ...madeKnownBy(context) };
  await records.put('requests', withEnd({ ...request, closed }, context.now));
  return accepted;
}

export const requestsOperations = {
  'request.make': ask,
  'request.change': change,
  'request.withdraw': withdraw,
  'request.decline': decline,
  'request.receive': receive,
};
