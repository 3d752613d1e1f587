import type { BinId, PartId, WorkOrderId } from '../../kernel/ids';
import { argsSchema, idField, wholeField } from '../../kernel/schema/fields';
import { accepted, defineOperation, refuse, rowNamed } from '../../operations/operation';
import { beginWork, readsToBegin } from '../hazards/begin-work';
import { findAmendable, onEntry, putAmendment, readsToAmend } from '../work/amendment';
import { newEntry } from '../work/guards';
import { moveStock, partContent } from './part-use';

/** A part was used: the stock of its bin goes down by as much. */
const usePart = defineOperation({
  label: 'this part',
  roles: ['technician', 'lead'],
  schema: argsSchema({
    workOrderId: idField<WorkOrderId>(),
    partId: idField<PartId>(),
    binId: idField<BinId>(),
    quantity: wholeField(),
  }),
  file: null,
  numbered: null,
  reads: ({ workOrderId, partId, binId }, by) => [
    ...readsToBegin(workOrderId, by),
    rowNamed('parts', partId),
    rowNamed('bins', binId),
    rowNamed('stock', partId === undefined || binId === undefined ? undefined : `${partId}@${binId}`),
  ],
  mend: { fields: { quantity: 'quantity' }, keepsTime: true },
  upgrades: [],
  apply: async (records, args, context) => {
    const begun = await beginWork(records, args.workOrderId, context);
    if (!begun.ok) return begun;
    const content = await partContent(records, args, context);
    if (!content.ok) return content;
    await records.put('entries', newEntry(begun.value, content.value, context));
    await moveStock(records, begun.value, args, -args.quantity, 'use', context);
    return accepted;
  },
});

/** The amount of a part was wrong: the difference goes back into the bin or out of it, at the price of then. */
const amendPart = defineOperation({
  label: 'the amended amount',
  roles: ['technician', 'lead'],
  schema: argsSchema({ ...onEntry, quantity: wholeField() }),
  file: null,
  numbered: null,
  reads: ({ workOrderId, entryId }) => readsToAmend(workOrderId, entryId),
  mend: { fields: { quantity: 'quantity' }, keepsTime: true },
  upgrades: [],
  apply: async (records, args, context) => {
    const found = await findAmendable(records, args, context);
    if (!found.ok) return found;
    const before = found.entry.content;
    if (before.kind !== 'part') return refuse('entry_not_amendable', {}, 'entryId');
    const content = await partContent(records, { ...before, quantity: args.quantity }, context, before);
    if (!content.ok) return content;
    await putAmendment(records, found, content.value, context);
    await moveStock(records, found.work, before, before.quantity - args.quantity, 'correction', context);
    return accepted;
  },
});

export const stockOperations = { 'part.use': usePart, 'part.amend': amendPart };
