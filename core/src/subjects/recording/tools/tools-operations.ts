import type { WorkOrderId } from '../../../kernel/ids';
import { money } from '../../../kernel/money/money';
import {
  argsSchema,
  currencyField,
  idField,
  instantField,
  keyFieldIfAny,
  LONGEST_LINE,
  textField,
  wholeField,
} from '../../../kernel/schema/fields';
import { parseInstant } from '../../../kernel/time/instant';
import { accepted, defineOperation, refuse, rowNamed } from '../../../operations/operation';
import { checkCostCentre, namedCostCentre } from '../costs/cost-centre';
import { receiptField } from '../expenses/receipt';
import { checkLabor } from '../labor/labor';
import { findAmendable, onEntry, putAmendment, readsToAmend } from '../../orders/work/amendment';
import { findOpenWork, newEntry } from '../../orders/work/guards';
import { toolCost } from './tool-cost';

const anybody = ['technician', 'lead', 'storekeeper'] as const;
/** In the smallest unit of any currency an hour. */
const LARGEST_RATE = 1e9;

/** A tool was used for so long, at a rate an hour. Its times are possible as those of people are. */
const addTool = defineOperation({
  label: 'this tool',
  inLog: 'forLeads',
  governs: 'nothing',
  roles: anybody,
  schema: argsSchema({
    workOrderId: idField<WorkOrderId>(),
    words: textField(LONGEST_LINE),
    startedAt: instantField(),
    minutes: wholeField(),
    rateMinor: wholeField().min(0, 'Give a rate of zero or more.').max(LARGEST_RATE, 'That is too much.'),
    currency: currencyField(),
    receipt: receiptField(),
    costCentre: keyFieldIfAny(),
  }),
  file: 'receipt.fileId',
  reads: ({ workOrderId }) => [rowNamed('workOrders', workOrderId)],
  correct: { fields: { words: 'line', minutes: 'duration' }, keepsTime: true },
  apply: async (records, { workOrderId, rateMinor, currency, costCentre, ...args }, context) => {
    const found = await findOpenWork(records, workOrderId, context);
    if (!found.ok) return found;
    const startedAt = parseInstant(args.startedAt);
    const possible = checkLabor({ startedAt, minutes: args.minutes }, context);
    if (!possible.ok) return possible;
    const isKnown = await checkCostCentre(records, costCentre);
    if (!isKnown.ok) return isKnown;
    const ratePerHour = money(rateMinor, currency);
    const cost = toolCost(args.minutes, ratePerHour);
    const content = { kind: 'tool', ...args, startedAt, ratePerHour, cost, ...namedCostCentre(costCentre) } as const;
    await records.put('entries', newEntry(found.value, content, context));
    return accepted;
  },
});

/** It was used for longer or shorter, at the rate of then. */
const amendTool = defineOperation({
  label: 'the amended time of a tool',
  inLog: 'forLeads',
  governs: 'nothing',
  roles: anybody,
  schema: argsSchema({ ...onEntry, minutes: wholeField() }),
  reads: ({ workOrderId, entryId }) => readsToAmend(workOrderId, entryId),
  correct: { fields: { minutes: 'duration' }, keepsTime: true },
  apply: async (records, args, context) => {
    const found = await findAmendable(records, args, context);
    if (!found.ok) return found;
    const { content } = found.entry;
    if (content.kind !== 'tool') return refuse('entry_not_amendable', {}, 'entryId');
    const { minutes } = args;
    const possible = checkLabor({ startedAt: content.startedAt, minutes }, context);
    if (!possible.ok) return possible;
    const cost = toolCost(minutes, content.ratePerHour);
    await putAmendment(records, found, { ...content, minutes, cost }, context);
    return accepted;
  },
});

export const toolsOperations = { 'tool.add': addTool, 'tool.amend': amendTool };
