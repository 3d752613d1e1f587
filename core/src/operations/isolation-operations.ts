import * as yup from 'yup';
import type { PersonId, WorkOrderId } from '../ids/ids';
import { hasRole } from '../people/people';
import { isolationActs, isolationOf, missingBefore, type IsolationAct } from '../work/isolation';
import { argsSchema, choiceField, idField, LONGEST_LINE } from './fields';
import { findOpenWork, newEntry } from './guards';
import { accepted, defineOperation, refuse } from './operation';

/** What has to be done first, as a sentence ends. */
const firstWords: Readonly<Record<IsolationAct, string>> = {
  shutDown: 'shut the machine down',
  lock: 'put the locks on',
  release: 'let the stored energy go',
  test: 'test it',
  unlock: 'take the lock off',
};

/**
 * Shutting down, locking, releasing, testing, taking a lock off: in this order (OSHA 29 CFR 1910.147(d) and (e)). It is
 * judged by what was so at its own time, because it is a fact, and what others did meanwhile may come first.
 */
export const recordIsolation = defineOperation({
  label: 'this isolation',
  roles: ['technician', 'lead'],
  schema: argsSchema({
    workOrderId: idField<WorkOrderId>(),
    act: choiceField(isolationActs),
    pointId: yup.string().strict().defined().nullable().max(LONGEST_LINE, 'text_too_long'),
    ofPersonId: yup.string().strict().defined().nullable().max(LONGEST_LINE) as unknown as yup.Schema<PersonId | null>,
    reason: yup.string().strict().defined().max(LONGEST_LINE, 'text_too_long'),
  }),
  apply: async (records, args, context) => {
    const found = await findOpenWork(records, args.workOrderId, context);
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
    const ofPersonId = args.act === 'unlock' ? (args.ofPersonId ?? context.person.id) : null;
    const missing = missingBefore(args.act, args.pointId, standing, ofPersonId ?? context.person.id);
    if (missing !== null) return refuse('isolation_out_of_order', { first: firstWords[missing] });
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
