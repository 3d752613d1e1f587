import * as yup from 'yup';
import type { CrewId, PersonId, WorkOrderId } from '../ids/ids';
import { isOpen } from '../work/states';
import { argsSchema, idField } from './fields';
import { findOwnWork } from './guards';
import { accepted, defineOperation, refuse } from './operation';

const MOST_PEOPLE = 50;

/** A lead gives work to people, to a crew, or to both. Who had it and could not know may still record on it. */
export const giveWork = defineOperation({
  label: 'giving out this work order',
  roles: ['lead'],
  schema: argsSchema({
    workOrderId: idField<WorkOrderId>(),
    personIds: yup.array().strict().of(idField<PersonId>()).required('Name the people.').max(MOST_PEOPLE),
    crewId: yup.string().strict().defined().nullable().max(64) as unknown as yup.Schema<CrewId | null>,
  }),
  apply: async (records, { workOrderId, personIds, crewId }, context) => {
    const found = await findOwnWork(records, workOrderId, context);
    if (!found.ok) return found;
    const work = found.value;
    if (!isOpen(work.state)) {
      return refuse('work_order_closed', { number: work.number, state: work.state }, 'workOrderId');
    }
    const people = [...new Set(personIds as readonly PersonId[])];
    for (const id of people) {
      const person = await records.get('people', id);
      if (person?.siteIds.includes(work.siteId) !== true) return refuse('not_found', { what: 'person' }, 'personIds');
    }
    if (crewId !== null && (await records.get('crews', crewId)) === undefined) {
      return refuse('not_found', { what: 'crew' }, 'crewId');
    }
    const formerly = { personIds: work.personIds, crewId: work.crewId, since: context.now };
    await records.put('workOrders', { ...work, personIds: people, crewId, formerly });
    return accepted;
  },
});
