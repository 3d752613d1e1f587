import type { AssetId, StepId, WorkOrderId } from '../../../kernel/ids';
import { argsSchema, idField, idFieldIfAny, LONGEST_TEXT, textField } from '../../../kernel/schema/fields';
import { accepted, defineOperation, refuse, rowNamed } from '../../../operations/operation';
import { findAmendable, onEntry, putAmendment, readsToAmend } from '../../orders/work/amendment';
import { machineOfEntry } from '../../steps/steps/machine-of-entry';
import { namedStep } from '../../steps/steps/find-step';
import { findOpenWork, newEntry } from '../../orders/work/guards';

/** Words for whoever comes next. Taken at any time while the work order is open. */
const addNote = defineOperation({
  label: 'this note',
  inLog: 'forLeads',
  governs: 'nothing',
  roles: ['technician', 'lead', 'storekeeper'],
  schema: argsSchema({
    workOrderId: idField<WorkOrderId>(),
    text: textField(LONGEST_TEXT),
    stepId: idFieldIfAny<StepId>(),
    assetId: idFieldIfAny<AssetId>(),
  }),
  reads: ({ workOrderId, assetId }) => [rowNamed('workOrders', workOrderId), rowNamed('assets', assetId)],
  correct: { fields: { text: 'text' }, keepsTime: true },
  apply: async (records, args, context) => {
    const found = await findOpenWork(records, args.workOrderId, context);
    if (!found.ok) return found;
    const machine = await machineOfEntry(records, found.value, args);
    if (!machine.ok) return machine;
    const content = { kind: 'note', text: args.text, ...namedStep(args.stepId) } as const;
    await records.put('entries', { ...newEntry(found.value, content, context), assetId: machine.value });
    return accepted;
  },
});

/** The words were wrong: others stand in their place. */
const amendNote = defineOperation({
  label: 'the amended note',
  inLog: 'forLeads',
  governs: 'nothing',
  roles: ['technician', 'lead', 'storekeeper'],
  schema: argsSchema({ ...onEntry, text: textField() }),
  reads: ({ workOrderId, entryId }) => readsToAmend(workOrderId, entryId),
  correct: { fields: { text: 'text' }, keepsTime: true },
  apply: async (records, args, context) => {
    const found = await findAmendable(records, args, context);
    if (!found.ok) return found;
    if (found.entry.content.kind !== 'note') return refuse('entry_not_amendable', {}, 'entryId');
    await putAmendment(records, found, { ...found.entry.content, text: args.text }, context);
    return accepted;
  },
});

export const notesOperations = { 'note.add': addNote, 'note.amend': amendNote };
