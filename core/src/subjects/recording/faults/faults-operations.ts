import * as yup from 'yup';
import type { AssetId, WorkOrderId } from '../../../kernel/ids';
import {
  argsSchema,
  choiceField,
  idField,
  LONGEST_LINE,
  LONGEST_TEXT,
  optionalIdField,
  optionalTextField,
} from '../../../kernel/schema/fields';
import { accepted, defineOperation, refuse, rowNamed } from '../../../operations/operation';
import { machineOfEntry } from '../../steps/steps/machine-of-entry';
import { findAmendable, onEntry, putAmendment, readsToAmend } from '../../orders/work/amendment';
import { findOpenWork, newEntry } from '../../orders/work/guards';
import { activities, causes, detections, failureModes, mechanisms, type FailureMode } from './codes';
import type { FaultContent } from './faults-entries';

/** One of the codes, or null where nobody said yet. */
function codeIfSaid<const T extends string>(codes: readonly T[]): yup.Schema<T | null> {
  return yup
    .string()
    .strict()
    .nullable()
    .defined()
    .oneOf([...codes, null], 'Choose one of the codes.') as unknown as yup.Schema<T | null>;
}

/** One of the numbers, or null where nobody said yet. */
function numberIfSaid(names: Readonly<Record<number, string>>): yup.Schema<number | null> {
  return yup
    .number()
    .strict()
    .nullable()
    .defined()
    .oneOf([...Object.keys(names).map(Number), null], 'Choose one of the numbers.') as unknown as yup.Schema<
    number | null
  >;
}

const modes = Object.keys(failureModes) as FailureMode[];
const coded = {
  component: optionalTextField(LONGEST_LINE),
  mode: choiceField(modes),
  mechanism: codeIfSaid(Object.keys(mechanisms)),
  cause: codeIfSaid(Object.keys(causes)),
  detection: numberIfSaid(detections),
  activity: numberIfSaid(activities),
  text: optionalTextField(LONGEST_TEXT),
};

/** A failure in the codes of ISO 14224. Cause and activity may come later. */
const addFault = defineOperation({
  label: 'this fault',
  inLog: 'forLeads',
  governs: 'nothing',
  roles: ['technician', 'lead'],
  schema: argsSchema({ workOrderId: idField<WorkOrderId>(), assetId: optionalIdField<AssetId>(), ...coded }),
  reads: ({ workOrderId, assetId }) => [rowNamed('workOrders', workOrderId), rowNamed('assets', assetId)],
  correct: { fields: { component: 'line', text: 'text' }, keepsTime: true },
  apply: async (records, { workOrderId, assetId, ...fault }, context) => {
    const found = await findOpenWork(records, workOrderId, context);
    if (!found.ok) return found;
    const machine = await machineOfEntry(records, found.value, { assetId });
    if (!machine.ok) return machine;
    await records.put('entries', { ...newEntry(found.value, contentOf(fault), context), assetId: machine.value });
    return accepted;
  },
});

/** A fault was coded wrongly, or not to its end: other codes stand in its place. */
const amendFault = defineOperation({
  label: 'the amended fault',
  inLog: 'forLeads',
  governs: 'nothing',
  roles: ['technician', 'lead'],
  schema: argsSchema({ ...onEntry, ...coded }),
  reads: ({ workOrderId, entryId }) => readsToAmend(workOrderId, entryId),
  correct: { fields: { component: 'line', text: 'text' }, keepsTime: true },
  apply: async (records, { workOrderId, entryId, ...fault }, context) => {
    const found = await findAmendable(records, { workOrderId, entryId }, context);
    if (!found.ok) return found;
    if (found.entry.content.kind !== 'fault') return refuse('entry_not_amendable', {}, 'entryId');
    await putAmendment(records, found, contentOf(fault), context);
    return accepted;
  },
});

interface Coded {
  readonly component: string;
  readonly mode: FailureMode;
  readonly mechanism: string | null;
  readonly cause: string | null;
  readonly detection: number | null;
  readonly activity: number | null;
  readonly text: string;
}

function contentOf({ mechanism, cause, ...rest }: Coded): FaultContent {
  return { kind: 'fault', ...rest, mechanism: mechanism ?? '', cause: cause ?? '' };
}

export const faultsOperations = { 'fault.add': addFault, 'fault.amend': amendFault };
