import * as yup from 'yup';
import type { CrewId, PersonId, WorkOrderId } from '../ids/ids';
import type { Records } from '../records/records';
import { isOpen } from '../work/states';
import type { WorkOrder } from '../work/work-order';
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
    const formerly = { ...(await everybodyBefore(records, work)), since: context.now };
    await records.put('workOrders', { ...work, personIds: people, crewId, formerly });
    return accepted;
  },
});

/** Who has it, and who had it before them: a phone may have been without signal through several givings. */
async function everybodyBefore(
  records: Records,
  { personIds, crewId, formerly }: WorkOrder,
): Promise<Pick<WorkOrder, 'personIds' | 'crewId'>> {
  const crewBefore = formerly?.crewId ?? null;
  const isOtherCrew = crewId !== null && crewBefore !== null && crewBefore !== crewId;
  const members = isOtherCrew ? ((await records.get('crews', crewBefore))?.memberIds ?? []) : [];
  return {
    personIds: [...new Set([...personIds, ...(formerly?.personIds ?? []), ...members])],
    crewId: crewId ?? crewBefore,
  };
}
