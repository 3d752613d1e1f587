import type { WorkOrderId } from '../../../kernel/ids';
import { money } from '../../../kernel/money/money';
import {
  argsSchema,
  currencyField,
  idField,
  keyFieldIfAny,
  LONGEST_LINE,
  optionalTextField,
  textField,
  wholeField,
} from '../../../kernel/schema/fields';
import { accepted, defineOperation, refuse, rowNamed } from '../../../operations/operation';
import { checkCostCentre, namedCostCentre } from '../costs/cost-centre';
import { receiptField } from '../expenses/receipt';
import { findAmendable, onEntry, putAmendment, readsToAmend } from '../../orders/work/amendment';
import { findOpenWork, newEntry } from '../../orders/work/guards';
import { arrivedPrice } from './service-price';

const anybody = ['technician', 'lead', 'storekeeper'] as const;
/** In the smallest unit of any currency: no service for one job costs more. */
const LARGEST_PRICE = 1e11;
const arrived = () =>
  wholeField().min(1, 'Say how much has arrived, from 1 to 100 %.').max(100, 'No more than all of it.');

/** Somebody from outside did something for the job, whole or in part. */
const addService = defineOperation({
  label: 'this service',
  inLog: 'forLeads',
  governs: 'nothing',
  roles: anybody,
  schema: argsSchema({
    workOrderId: idField<WorkOrderId>(),
    words: textField(LONGEST_LINE),
    supplier: optionalTextField(),
    minor: wholeField().min(1, 'Give an amount above zero.').max(LARGEST_PRICE, 'That is too much.'),
    currency: currencyField(),
    arrivedPercent: arrived(),
    receipt: receiptField(),
    costCentre: keyFieldIfAny(),
  }),
  file: 'receipt.fileId',
  reads: ({ workOrderId }) => [rowNamed('workOrders', workOrderId)],
  correct: { fields: { words: 'line' }, keepsTime: true },
  apply: async (records, { workOrderId, minor, currency, costCentre, ...args }, context) => {
    const found = await findOpenWork(records, workOrderId, context);
    if (!found.ok) return found;
    const isKnown = await checkCostCentre(records, costCentre);
    if (!isKnown.ok) return isKnown;
    const agreed = money(minor, currency);
    const cost = arrivedPrice(agreed, args.arrivedPercent);
    const content = { kind: 'service', ...args, agreed, cost, ...namedCostCentre(costCentre) } as const;
    await records.put('entries', newEntry(found.value, content, context));
    return accepted;
  },
});

/** More of it has arrived, or less than was said. */
const amendService = defineOperation({
  label: 'the amended service',
  inLog: 'forLeads',
  governs: 'nothing',
  roles: anybody,
  schema: argsSchema({ ...onEntry, arrivedPercent: arrived() }),
  reads: ({ workOrderId, entryId }) => readsToAmend(workOrderId, entryId),
  correct: { fields: {}, keepsTime: true },
  apply: async (records, args, context) => {
    const found = await findAmendable(records, args, context);
    if (!found.ok) return found;
    const { content } = found.entry;
    if (content.kind !== 'service') return refuse('entry_not_amendable', {}, 'entryId');
    const { arrivedPercent } = args;
    const cost = arrivedPrice(content.agreed, arrivedPercent);
    await putAmendment(records, found, { ...content, arrivedPercent, cost }, context);
    return accepted;
  },
});

export const servicesOperations = { 'service.add': addService, 'service.amend': amendService };
