import type { PersonId, WorkOrderId } from '../../../kernel/ids';
import { hasRole } from '../../../operations/actor';
import { isolationOf, missingBefore } from './isolation';
import { isolationActs } from './isolation-entries';
import {
  argsSchema,
  choiceField,
  idField,
  optionalIdField,
  optionalKeyField,
  optionalTextField,
} from '../../../kernel/schema/fields';
import { findOpenWork, findWorkOfSite, newEntry } from '../work/guards';
import { accepted, defineOperation, refuse, rowNamed } from '../../../operations/operation';

/**
 * Shutting down, locking, releasing, testing, taking a lock off: in this order (OSHA 29 CFR 1910.147(d) and (e)). It is
 * measured by what was so at its own time, because it is a fact, and what others did meanwhile may come first. A lock comes
 * off work in any state, and by its owner whoever the work is given to: nothing that is on may stay on for good.
 */
const recordIsolation = defineOperation({
  label: 'this isolation',
  inLog: 'forLeads',
  governs: 'nothing',
  roles: ['technician', 'lead'],
  schema: argsSchema({
    workOrderId: idField<WorkOrderId>(),
    act: choiceField(isolationActs),
    pointId: optionalKeyField(),
    ofPersonId: optionalIdField<PersonId>(),
    reason: optionalTextField(),
  }),
  reads: ({ workOrderId }) => [rowNamed('workOrders', workOrderId)],
  correct: { fields: {}, keepsTime: true },
  apply: async (records, args, context) => {
    const isTakingOff = args.act === 'unlock';
    const found = await (isTakingOff ? findWorkOfSite : findOpenWork)(records, args.workOrderId, context);
    if (!found.ok) return found;
    const work = found.value;
    const isOfMachine = args.act === 'shutDown';
    const isKnown = work.isolation.some(({ id }) => id === args.pointId);
    if (isOfMachine ? work.isolation.length === 0 : !isKnown) {
      return refuse('not_found', { what: 'isolation point' }, 'pointId');
    }
    const entries = await records.list('entries', 'workOrder', work.id);
    const standing = isolationOf(
      work.isolation,
      entries.filter(({ at }) => at <= context.at),
    );
    const ofPersonId = isTakingOff ? (args.ofPersonId ?? context.person.id) : null;
    const missing = missingBefore(args.act, args.pointId, standing, ofPersonId ?? context.person.id);
    if (missing !== null) return refuse('isolation_out_of_order', { first: missing });
    if (ofPersonId !== null && ofPersonId !== context.person.id) {
      // 1910.147(e)(3): somebody else takes it off only under the employer's direction, and for a reason.
      if (!hasRole(context.person, ['lead'])) return refuse('lock_of_another', {}, 'ofPersonId');
      if (args.reason.trim() === '') return refuse('lock_reason_missing', {}, 'reason');
    }
    const { act, reason } = args;
    const pointId = isOfMachine ? null : args.pointId;
    await records.put('entries', newEntry(work, { kind: 'isolation', act, pointId, ofPersonId, reason }, context));
    return accepted;
  },
});

export const isolationOperations = { 'isolation.record': recordIsolation };
