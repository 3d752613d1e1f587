import type { PlanId } from '../../../kernel/ids';
import { argsSchema, dayField, idField, optionalKeyField, wholeField } from '../../../kernel/schema/fields';
import { accepted, defineOperation, refuse, rowNamed } from '../../../operations/operation';
import { provisionalNumber } from '../../plant/numbers/numbers';
import { isClosed } from '../../orders/work/states';
import { dueOf, putPlannedWork, workIdOf } from './plan-work';

/** More work orders than this no plan has made. */
const MOST_OCCURRENCES = 1_000_000;

/**
 * Planned work is done along with other work on its machine, before its own work order has appeared or been given out: it is there
 * from now on, and the person's. Where somebody else made it meanwhile, the person is on it too.
 */
const takeAlong = defineOperation({
  label: 'taking along what is due soon',
  inLog: 'forLeads',
  governs: 'nothing',
  roles: ['technician', 'lead'],
  schema: argsSchema({
    planId: idField<PlanId>(),
    /** Which of its work orders. */
    occurrence: wholeField().min(1).max(MOST_OCCURRENCES),
    /** When that was due as the person saw it; it is computed anew. */
    dueOn: dayField(),
    number: optionalKeyField(),
  }),
  numbered: 'workOrder',
  reads: ({ planId }) => [rowNamed('plans', planId)],
  correct: { fields: {}, keepsTime: false },
  apply: async (records, { planId, occurrence, dueOn, number }, context) => {
    const plan = await records.get('plans', planId);
    const isTheirs = plan !== undefined && context.person.siteIds.includes(plan.siteId);
    if (!isTheirs || occurrence > plan.made + 1) return refuse('not_found', { what: 'plan' }, 'planId');
    const me = context.person.id;
    const there = await records.get('workOrders', workIdOf(plan, occurrence));
    if (there !== undefined) {
      if (isClosed(there.state)) return refuse('planned_work_over', { number: there.number });
      const personIds = [...new Set([...there.personIds, me])];
      await records.put('workOrders', { ...there, personIds });
      return accepted;
    }
    if (plan.open !== null || occurrence !== plan.made + 1) return refuse('not_found', { what: 'plan' }, 'planId');
    const given = number ?? context.newNumber ?? provisionalNumber('workOrder', context.operationId);
    if ((await records.list('workOrders', 'number', given)).length > 0)
      return refuse('number_taken', { number: given }, 'number');
    // When it is due is the plan's to say, whatever the phone saw.
    const due = context.nextOn === null ? { on: dueOn } : await dueOf(records, plan, context.nextOn);
    if (due === null) return refuse('not_found', { what: 'plan' }, 'planId');
    const made = await putPlannedWork(records, plan, { dueOn: due.on, number: given, at: context.at, personIds: [me] });
    return made === null ? refuse('not_found', { what: 'machine' }, 'planId') : accepted;
  },
});

export const plansOperations = { 'plan.take-along': takeAlong };
