import type { WorkOrderId } from '../../../kernel/ids';
import { argsSchema, choiceField, idField } from '../../../kernel/schema/fields';
import { accepted, defineOperation, refuse, rowNamed } from '../../../operations/operation';
import { findOpenWork, findOwnWork, newEntry } from '../../orders/work/guards';
import { owesTime, settleTime } from '../../orders/work/time-owed';
import { isRecorded, saidNone } from './none';
import { nonesOf } from './none-entries';

/** There was none of it. Refused where some is recorded; said already, nothing changes. */
const sayNone = defineOperation({
  label: 'that there was none',
  inLog: 'forLeads',
  governs: 'nothing',
  roles: ['technician', 'lead'],
  schema: argsSchema({ workOrderId: idField<WorkOrderId>(), of: choiceField(nonesOf) }),
  reads: ({ workOrderId }) => [rowNamed('workOrders', workOrderId)],
  correct: { fields: {}, keepsTime: true },
  apply: async (records, { workOrderId, of }, context) => {
    const isOwed = of === 'time' && owesTime(await records.get('workOrders', workOrderId), context.person.id);
    const found = await (isOwed ? findOwnWork : findOpenWork)(records, workOrderId, context);
    if (!found.ok) return found;
    const entries = await records.list('entries', 'workOrder', workOrderId);
    if (isRecorded(of, entries, context.person.id)) return refuse('none_but_recorded', { of }, 'of');
    if (saidNone(entries, context.person.id).includes(of)) return accepted;
    await records.put('entries', newEntry(found.value, { kind: 'none', of }, context));
    if (of === 'time') await settleTime(records, workOrderId, [context.person.id]);
    return accepted;
  },
});

export const noneOperations = { 'none.say': sayNone };
