import type { AssetId, BinId, PartId, WorkOrderId } from '../../../kernel/ids';
import {
  argsSchema,
  choiceField,
  idField,
  idFieldIfAny,
  optionalIdField,
  optionalKeyField,
  optionalTextField,
  textField,
  wholeField,
} from '../../../kernel/schema/fields';
import { accepted, defineOperation, refuse, rowNamed } from '../../../operations/operation';
import { beginWork, readsToBegin } from '../../orders/hazards/begin-work';
import { machineOfEntry } from '../../steps/steps/machine-of-entry';
import { findAmendable, onEntry, putAmendment, readsToAmend } from '../../orders/work/amendment';
import { newEntry } from '../../orders/work/guards';
import { moveStock, partContent } from './part-use';
import { leaveOutPart, planPart } from './plan-part';
import { fates } from './removal';
import { settleAgain, settleByOwnUse } from '../requests/settle';
import { findWorkToReturnTo, putBack, revalueReturns } from './return-part';
import { fitIn, takeOut } from './serials';

const LONGEST_SERIAL = 60;

/** What comes out of a machine, as it is sent. */
const comesOutField = () =>
  argsSchema({
    partId: idField<PartId>(),
    assetId: idField<AssetId>(),
    installationId: optionalKeyField(),
    serial: optionalTextField(LONGEST_SERIAL),
    fate: choiceField(fates),
    binId: optionalIdField<BinId>(),
  });

/**
 * A part was used: the stock of its bin goes down by as much, below zero if need be. With a serial number it stands in the make-up of
 * its machine from now on; what came out for it does not any more.
 */
const usePart = defineOperation({
  label: 'this part',
  inLog: 'forLeads',
  governs: 'nothing',
  roles: ['technician', 'lead'],
  schema: argsSchema({
    workOrderId: idField<WorkOrderId>(),
    partId: idField<PartId>(),
    binId: idField<BinId>(),
    quantity: wholeField(),
    assetId: idFieldIfAny<AssetId>(),
    goesIn: argsSchema({ assetId: idField<AssetId>(), serial: textField(LONGEST_SERIAL) }).notRequired(),
    comesOut: comesOutField().notRequired(),
  }),
  reads: ({ workOrderId, partId, binId, assetId }, by) => [
    ...readsToBegin(workOrderId, by),
    rowNamed('assets', assetId),
    rowNamed('parts', partId),
    rowNamed('bins', binId),
    rowNamed('stock', partId === undefined || binId === undefined ? undefined : `${partId}@${binId}`),
  ],
  correct: { fields: { quantity: 'quantity' }, keepsTime: true },
  apply: async (records, args, context) => {
    const begun = await beginWork(records, args.workOrderId, 'of others', context);
    if (!begun.ok) return begun;
    const content = await partContent(records, args, context);
    if (!content.ok) return content;
    const { goesIn, comesOut, partId } = args;
    const machine = await machineOfEntry(records, begun.value, args);
    if (!machine.ok) return machine;
    const serial = goesIn === undefined || goesIn === null ? {} : { serial: goesIn.serial };
    const entry = newEntry(begun.value, { ...content.value, ...serial }, context);
    await records.put('entries', { ...entry, assetId: machine.value });
    await moveStock(records, begun.value, args, -args.quantity, 'use', context);
    const { workOrderId, quantity } = args;
    await settleByOwnUse(records, { workOrderId, partId, entryId: entry.id, quantity }, context.now);
    if (comesOut !== undefined && comesOut !== null) {
      const out = await takeOut(records, begun.value, comesOut, context);
      if (!out.ok) return out;
    }
    return goesIn === undefined || goesIn === null
      ? accepted
      : fitIn(records, begun.value, { ...goesIn, partId }, context);
  },
});

/** The amount of a part was wrong: the difference goes back into the bin or out of it, at the price of then. */
const amendPart = defineOperation({
  label: 'the amended amount',
  inLog: 'forLeads',
  governs: 'nothing',
  roles: ['technician', 'lead'],
  schema: argsSchema({ ...onEntry, quantity: wholeField() }),
  reads: ({ workOrderId, entryId }) => readsToAmend(workOrderId, entryId),
  correct: { fields: { quantity: 'quantity' }, keepsTime: true },
  apply: async (records, args, context) => {
    const found = await findAmendable(records, args, context);
    if (!found.ok) return found;
    const before = found.entry.content;
    if (before.kind !== 'part' || before.quantity < 0) return refuse('entry_not_amendable', {}, 'entryId');
    const content = await partContent(records, { ...before, quantity: args.quantity }, context, before);
    if (!content.ok) return content;
    await putAmendment(records, found, content.value, context);
    const leaves = await revalueReturns(records, found.work, before.partId, context);
    if (!leaves.ok) return { ...leaves, field: 'quantity' };
    // What was taken is what is now said, from when it was taken on: a count made since stays true.
    const then = { ...context, at: found.entry.at };
    await moveStock(records, found.work, before, before.quantity - args.quantity, 'correction', then);
    const { workOrderId, entryId, quantity } = args;
    const recorded = { workOrderId, entryId, content: before };
    await settleAgain(records, recorded, { entryId: context.entryId, quantity }, context.now);
    return accepted;
  },
});

/** What was taken and not used goes into a bin: not more than was taken on this job. */
const returnPart = defineOperation({
  label: 'putting it back',
  inLog: 'forLeads',
  governs: 'nothing',
  roles: ['technician', 'lead', 'storekeeper'],
  schema: argsSchema({
    workOrderId: idField<WorkOrderId>(),
    partId: idField<PartId>(),
    binId: idField<BinId>(),
    quantity: wholeField(),
  }),
  reads: ({ workOrderId, partId, binId }) => [
    rowNamed('workOrders', workOrderId),
    rowNamed('parts', partId),
    rowNamed('bins', binId),
    rowNamed('stock', partId === undefined || binId === undefined ? undefined : `${partId}@${binId}`),
  ],
  correct: { fields: { quantity: 'quantity' }, keepsTime: true },
  apply: async (records, { workOrderId, partId, binId, quantity }, context) => {
    const found = await findWorkToReturnTo(records, workOrderId, context);
    return found.ok ? putBack(records, found.value, { partId, binId, quantity }, context) : found;
  },
});

/** A part came out for which none goes in, or none of the store. */
const takeOutPart = defineOperation({
  label: 'what came out',
  inLog: 'forLeads',
  governs: 'nothing',
  roles: ['technician', 'lead'],
  schema: argsSchema({ workOrderId: idField<WorkOrderId>(), comesOut: comesOutField() }),
  reads: ({ workOrderId }, by) => readsToBegin(workOrderId, by),
  correct: { fields: {}, keepsTime: true },
  apply: async (records, { workOrderId, comesOut }, context) => {
    const begun = await beginWork(records, workOrderId, 'of others', context);
    return begun.ok ? takeOut(records, begun.value, comesOut, context) : begun;
  },
});

export const stockOperations = {
  'part.use': usePart,
  'part.amend': amendPart,
  'part.return': returnPart,
  'part.take-out': takeOutPart,
  'part.plan': planPart,
  'part.leave-out': leaveOutPart,
};
