import { takeOnWork } from './take-on';
import type { WorkOrderId } from '../../../kernel/ids';
import { argsSchema, idListField } from '../../../kernel/schema/fields';
import { accepted, defineOperation } from '../../../operations/operation';
import { findWorkOfSite } from '../../orders/work/guards';

/** So many are let start at once. */
const MOST_AT_ONCE = 100;

/** A lead lets raised work start, one or several; what may start already stays as it is. */
const letStart = defineOperation({
  label: 'letting work start',
  inLog: 'forLeads',
  governs: 'nothing',
  roles: ['lead'],
  schema: argsSchema({ workOrderIds: idListField<WorkOrderId>(MOST_AT_ONCE, 'Name the work.') }),
  reads: () => [],
  correct: { fields: {}, keepsTime: false },
  apply: async (records, { workOrderIds }, context) => {
    for (const id of workOrderIds) {
      const found = await findWorkOfSite(records, id, context);
      if (!found.ok) return found;
      const { goAhead } = found.value;
      if (goAhead === undefined || goAhead.givenBy !== null) continue;
      await records.put('workOrders', { ...found.value, goAhead: { ...goAhead, givenBy: context.person.id } });
    }
    return accepted;
  },
});

export const goAheadOperations = { 'work.let-start': letStart, 'work.take-on': takeOnWork };
