import type { AssetId, BinId, EntryId, PartId, PersonId, RequestId, WorkOrderId } from '../../../kernel/ids';
import { formatQuantity, type Thousandths } from '../../../kernel/quantity/quantity';
import {
  argsSchema,
  choiceField,
  idField,
  idFieldIfAny,
  keyField,
  optionalIdField,
  optionalTextField,
  wholeField,
} from '../../../kernel/schema/fields';
import {
  accepted,
  defineOperation,
  refuse,
  rowNamed,
  type OperationContext,
  type Outcome,
  type Refusal,
  type Result,
} from '../../../operations/operation';
import type { Records } from '../../../records/records';
import { findOpenWorkOfSite, newEntry } from '../../orders/work/guards';
import type { WorkOrder } from '../../orders/work/work-order';
import { machineOfEntry } from '../../steps/steps/machine-of-entry';
import { findOpenRequest, findRequest } from '../requests/find-request';
import { handoutWays, openAmount, withEnd, type Handout, type StoreRequest } from '../requests/request';
import { settleByOwnUse } from '../requests/settle';
import { amountFromBin, amountOfPart, moveStock, partContent } from '../stock/part-use';
import { findWorkToReturnTo, putBack } from '../stock/return-part';

const roles = ['storekeeper', 'lead'] as const;
const fromBin = { partId: idField<PartId>(), binId: idField<BinId>(), quantity: wholeField() };
const readsBin = ({ partId, binId }: { readonly partId?: string; readonly binId?: string }) => [
  rowNamed('parts', partId),
  rowNamed('bins', binId),
  rowNamed('stock', partId === undefined || binId === undefined ? undefined : `${partId}@${binId}`),
];

interface FromBin {
  readonly partId: PartId;
  readonly binId: BinId;
  readonly quantity: Thousandths;
}

/** Writes on a job what the store gave to it: a use like any other, by whoever handed it out. */
async function giveToJob(
  records: Records,
  work: WorkOrder,
  given: FromBin,
  {
    assetId,
    ...issue
  }: { readonly requestId: RequestId | null; readonly to: PersonId | null; readonly assetId: AssetId | null },
  context: OperationContext,
): Promise<Result<EntryId>> {
  const machine = await machineOfEntry(records, work, { assetId });
  if (!machine.ok) return machine;
  const content = await partContent(records, given, context);
  if (!content.ok) return content;
  const entry = { ...newEntry(work, { ...content.value, issue }, context), assetId: machine.value };
  await records.put('entries', entry);
  await moveStock(records, work, given, -given.quantity, 'use', context);
  return { ok: true, value: entry.id };
}

/**
 * The store gives what was asked for, whole or in part, or another part in its place. The stock moves when it leaves its bin. Of one
 * request never more is given than was asked for: who gives what another gave already, or what the job took itself, hears of it.
 */
const handOut = defineOperation({
  label: 'what was handed out',
  inLog: 'forLeads',
  governs: 'nothing',
  roles,
  schema: argsSchema({
    requestId: idField<RequestId>(),
    ...fromBin,
    /** How much of what was asked for it settles, in the unit of the request. */
    settles: wholeField().min(1, 'Give an amount above zero.'),
    way: choiceField(handoutWays),
    where: optionalTextField(),
  }),
  reads: ({ requestId, ...named }) => [rowNamed('requests', requestId), ...readsBin(named)],
  correct: { fields: { quantity: 'quantity' }, keepsTime: true },
  apply: async (records, { requestId, partId, binId, quantity, settles, way, where }, context) => {
    const found = await findOpenRequest(records, requestId, context);
    if (!found.ok) return found;
    const request = found.value;
    const open = openAmount(request);
    if (settles > open) return tooMuch(records, request, open);
    const possible = await amountFromBin(records, { partId, binId, quantity }, context);
    if (!possible.ok) return possible;
    const entryId = await giveFor(records, request, { partId, binId, quantity }, context);
    if (!entryId.ok) return entryId;
    const handout: Handout = {
      id: context.operationId,
      partId,
      binId,
      quantity,
      settles,
      way,
      where,
      by: context.person.id,
      at: context.at,
      receivedAt: way === 'person' ? context.at : null,
      returned: 0,
      entryId: entryId.value,
    };
    // What was taken back unseen stays taken back: of the rest nothing is handed out.
    const closed = (await records.get('requests', requestId))?.closed ?? null;
    const handouts = [...request.handouts, handout];
    await records.put('requests', withEnd({ ...request, closed, handouts }, context.now));
    return accepted;
  },
});

/** Takes it out of its bin, for the job that asked or for none. */
async function giveFor(
  records: Records,
  request: StoreRequest,
  given: FromBin,
  context: OperationContext,
): Promise<Result<EntryId | null>> {
  if (request.workOrderId === null) {
    await moveStock(records, null, given, -given.quantity, 'issue', context);
    return { ok: true, value: null };
  }
  const work = await findOpenWorkOfSite(records, request.workOrderId, context);
  if (!work.ok) return work;
  return giveToJob(
    records,
    work.value,
    given,
    { requestId: request.id, to: request.askedBy, assetId: request.assetId },
    context,
  );
}

async function tooMuch(records: Records, request: StoreRequest, open: Thousandths): Promise<Refusal> {
  const last = request.handouts.at(-1)?.by;
  const who = last === undefined ? 'the job itself' : ((await records.get('people', last))?.name ?? 'somebody else');
  const values = { asked: formatQuantity(request.quantity), left: formatQuantity(open), unit: request.unit, who };
  return refuse('request_more_than_open', values, 'settles');
}

/** The store gives a part to a job that had not asked for it; where it had, that much is not handed out again. */
const handOutToJob = defineOperation({
  label: 'what was handed out',
  inLog: 'forLeads',
  governs: 'nothing',
  roles,
  schema: argsSchema({
    workOrderId: idField<WorkOrderId>(),
    ...fromBin,
    to: optionalIdField<PersonId>(),
    assetId: idFieldIfAny<AssetId>(),
  }),
  reads: ({ workOrderId, ...named }) => [rowNamed('workOrders', workOrderId), ...readsBin(named)],
  correct: { fields: { quantity: 'quantity' }, keepsTime: true },
  apply: async (records, { workOrderId, partId, binId, quantity, to, assetId = null }, context) => {
    const found = await findOpenWorkOfSite(records, workOrderId, context);
    if (!found.ok) return found;
    const entryId = await giveToJob(
      records,
      found.value,
      { partId, binId, quantity },
      { requestId: null, to, assetId },
      context,
    );
    if (!entryId.ok) return entryId;
    await settleByOwnUse(records, { workOrderId, partId, entryId: entryId.value, quantity }, context.now);
    return accepted;
  },
});

/** What was handed out and not used goes back into a bin, never more than was handed out. */
const bringBack = defineOperation({
  label: 'bringing it back',
  inLog: 'forLeads',
  governs: 'nothing',
  roles: ['technician', 'lead', 'storekeeper'],
  schema: argsSchema({
    requestId: idField<RequestId>(),
    handoutId: keyField('Say what is brought back.'),
    binId: idField<BinId>(),
    quantity: wholeField(),
  }),
  reads: ({ requestId, binId }) => [rowNamed('requests', requestId), rowNamed('bins', binId)],
  correct: { fields: { quantity: 'quantity' }, keepsTime: true },
  apply: async (records, { requestId, handoutId, binId, quantity }, context) => {
    const found = await findRequest(records, requestId, context);
    if (!found.ok) return found;
    const request = found.value;
    const handout = request.handouts.find(({ id }) => id === handoutId);
    if (handout === undefined) return refuse('not_found', { what: 'hand-out' }, 'handoutId');
    const { partId, returned } = handout;
    const amount = await amountOfPart(records, { partId, binId, quantity }, context);
    if (!amount.ok) return amount;
    if (quantity > handout.quantity - returned) {
      const values = { taken: formatQuantity(handout.quantity - returned), unit: amount.value.part.unit };
      return refuse('returned_more_than_handed_out', values, 'quantity');
    }
    const back = await takeBack(records, request, { partId, binId, quantity }, context);
    if (!back.ok) return back;
    const handouts = request.handouts.map((each) =>
      each.id === handoutId
        ? { ...each, returned: returned + quantity, receivedAt: each.receivedAt ?? context.at }
        : each,
    );
    await records.put('requests', withEnd({ ...request, handouts }, context.now));
    return accepted;
  },
});

async function takeBack(
  records: Records,
  { workOrderId }: StoreRequest,
  back: FromBin,
  context: OperationContext,
): Promise<Outcome> {
  if (workOrderId === null) {
    await moveStock(records, null, back, back.quantity, 'return', context);
    return accepted;
  }
  const work = await findWorkToReturnTo(records, workOrderId, context);
  return work.ok ? putBack(records, work.value, back, context) : work;
}

export const issueOperations = {
  'request.hand-out': handOut,
  'request.bring-back': bringBack,
  'part.hand-out': handOutToJob,
};
