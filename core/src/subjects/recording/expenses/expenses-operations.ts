import type { WorkOrderId } from '../../../kernel/ids';
import { money } from '../../../kernel/money/money';
import {
  argsSchema,
  currencyField,
  idField,
  keyFieldIfAny,
  LONGEST_LINE,
  textField,
  wholeField,
} from '../../../kernel/schema/fields';
import { accepted, defineOperation, refuse, rowNamed } from '../../../operations/operation';
import { checkCostCentre, namedCostCentre } from '../costs/cost-centre';
import { findAmendable, onEntry, putAmendment, readsToAmend } from '../../orders/work/amendment';
import { findOpenWork, newEntry } from '../../orders/work/guards';
import { receiptField } from './receipt';

/** In the smallest unit of any currency: nobody lays out more for a job. */
const LARGEST_AMOUNT = 1e10;
const amountField = () => wholeField().min(1, 'Give an amount above zero.').max(LARGEST_AMOUNT, 'That is too much.');

/** Money was laid out for the job, in the smallest unit of its currency. The photo of its receipt is with the server before. */
const addExpense = defineOperation({
  label: 'this expense',
  inLog: 'forLeads',
  governs: 'nothing',
  roles: ['technician', 'lead', 'storekeeper'],
  schema: argsSchema({
    workOrderId: idField<WorkOrderId>(),
    minor: amountField(),
    currency: currencyField(),
    words: textField(LONGEST_LINE),
    receipt: receiptField(),
    costCentre: keyFieldIfAny(),
  }),
  file: 'receipt.fileId',
  reads: ({ workOrderId }) => [rowNamed('workOrders', workOrderId)],
  correct: { fields: { words: 'line' }, keepsTime: true },
  apply: async (records, { workOrderId, minor, currency, words, receipt, costCentre }, context) => {
    const found = await findOpenWork(records, workOrderId, context);
    if (!found.ok) return found;
    const isKnown = await checkCostCentre(records, costCentre);
    if (!isKnown.ok) return isKnown;
    const amount = money(minor, currency);
    const content = { kind: 'expense', amount, words, receipt, ...namedCostCentre(costCentre) } as const;
    await records.put('entries', newEntry(found.value, content, context));
    return accepted;
  },
});

/** The amount was wrong: another stands in its place, in the same currency and with the same receipt. */
const amendExpense = defineOperation({
  label: 'the amended expense',
  inLog: 'forLeads',
  governs: 'nothing',
  roles: ['technician', 'lead', 'storekeeper'],
  schema: argsSchema({ ...onEntry, minor: amountField() }),
  reads: ({ workOrderId, entryId }) => readsToAmend(workOrderId, entryId),
  correct: { fields: {}, keepsTime: true },
  apply: async (records, args, context) => {
    const found = await findAmendable(records, args, context);
    if (!found.ok) return found;
    const { content } = found.entry;
    if (content.kind !== 'expense') return refuse('entry_not_amendable', {}, 'entryId');
    const amount = money(args.minor, content.amount.currency);
    await putAmendment(records, found, { ...content, amount }, context);
    return accepted;
  },
});

export const expensesOperations = { 'expense.add': addExpense, 'expense.amend': amendExpense };
