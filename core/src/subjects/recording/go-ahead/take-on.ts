import type { WorkOrderId } from '../../../kernel/ids';
import { argsSchema, idField } from '../../../kernel/schema/fields';
import { hasRole } from '../../../operations/actor';
import { accepted, defineOperation, refuse, rowNamed } from '../../../operations/operation';
import type { Person } from '../../plant/people/people';
import { rulesOf, type RaiseRules } from '../../orders/raise-rules/raise-rules';
import { findWorkOfSite } from '../../orders/work/guards';
import { isOpen } from '../../orders/work/states';
import type { WorkOrder } from '../../orders/work/work-order';

/** Whether nobody has work: no person, no crew, and no share of it is anybody's. */
function isNobodys({
  personIds,
  crewId,
  sharedWith = [],
}: Pick<WorkOrder, 'personIds' | 'crewId' | 'sharedWith'>): boolean {
  return personIds.length === 0 && crewId === null && sharedWith.length === 0;
}

/**
 * Whether somebody may take on open work that nobody has: whoever raised it, and where the site lets technicians take up reports every
 * technician. Whether it may start is another question (`goAheadFor`).
 */
export function mayTakeOn(
  work: Pick<WorkOrder, 'personIds' | 'crewId' | 'sharedWith' | 'raisedBy' | 'state' | 'siteId'>,
  person: Person,
  rules: RaiseRules | undefined,
): boolean {
  if (!isOpen(work.state) || !isNobodys(work) || !hasRole(person, ['technician', 'lead'])) return false;
  return work.raisedBy === person.id || hasRole(person, ['lead']) || rulesOf(work.siteId, rules).technicianTakesUp;
}

/** Somebody takes on work that nobody has. */
export const takeOnWork = defineOperation({
  label: 'taking on this work order',
  inLog: 'forLeads',
  governs: 'nothing',
  roles: ['technician', 'lead'],
  schema: argsSchema({ workOrderId: idField<WorkOrderId>() }),
  reads: ({ workOrderId }) => [rowNamed('workOrders', workOrderId)],
  correct: { fields: {}, keepsTime: false },
  apply: async (records, { workOrderId }, context) => {
    const found = await findWorkOfSite(records, workOrderId, context);
    if (!found.ok) return found;
    const work = found.value;
    if (!isOpen(work.state)) {
      return refuse('work_order_closed', { number: work.number, state: work.state }, 'workOrderId');
    }
    const { person } = context;
    if (work.personIds.some((id) => id === person.id)) return accepted;
    const known = await records.get('people', person.id);
    const rules = await records.get('raiseRules', work.siteId);
    if (known === undefined || !mayTakeOn(work, known, rules)) {
      return refuse('work_order_not_yours', { number: work.number }, 'workOrderId');
    }
    await records.put('workOrders', { ...work, personIds: [person.id] });
    return accepted;
  },
});
