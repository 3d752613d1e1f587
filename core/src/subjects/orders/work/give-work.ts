import type { CrewId, PersonId, SiteId, WorkOrderId } from '../../../kernel/ids';
import { madeKnownBy } from '../../../operations/known';
import { argsSchema, idField, idListField, optionalIdField } from '../../../kernel/schema/fields';
import { accepted, defineOperation, refuse, rowNamed, type Result } from '../../../operations/operation';
import type { Records } from '../../../records/records';
import type { Crew } from '../../plant/people/people';
import { peopleOn } from './assignment';
import { findOwnWork } from './guards';
import { isOpen } from './states';
import type { WorkOrder } from './work-order';

const MOST_PEOPLE = 50;

/** A lead gives work to people, to a crew, or to both. Who had it and could not know may still record on it. */
export const giveWork = defineOperation({
  label: 'giving out this work order',
  inLog: 'forLeads',
  governs: 'nothing',
  roles: ['lead'],
  schema: argsSchema({
    workOrderId: idField<WorkOrderId>(),
    personIds: idListField<PersonId>(MOST_PEOPLE, 'Name the people.'),
    crewId: optionalIdField<CrewId>(),
  }),
  reads: ({ workOrderId }) => [rowNamed('workOrders', workOrderId)],
  correct: { fields: {}, keepsTime: false },
  apply: async (records, { workOrderId, personIds, crewId }, context) => {
    const found = await findOwnWork(records, workOrderId, context);
    if (!found.ok) return found;
    const work = found.value;
    if (!isOpen(work.state)) {
      return refuse('work_order_closed', { number: work.number, state: work.state }, 'workOrderId');
    }
    const people = [...new Set(personIds)];
    const assignees = await findAssignees(records, work.siteId, people, crewId);
    if (!assignees.ok) return assignees;
    const previousAssignees = { ...(await everybodyBefore(records, work)), ...madeKnownBy(context) };
    await records.put('workOrders', { ...work, personIds: people, crewId, previousAssignees });
    return accepted;
  },
});

/** Whether people and a crew have a site, and so can be given its work; gives the crew. */
export async function findAssignees(
  records: Records,
  siteId: SiteId,
  personIds: readonly PersonId[],
  crewId: CrewId | null,
): Promise<Result<Crew | null>> {
  for (const id of personIds) {
    const person = await records.get('people', id);
    if (person?.siteIds.includes(siteId) !== true) return refuse('not_found', { what: 'person' }, 'personIds');
  }
  if (crewId === null) return { ok: true, value: null };
  const crew = await records.get('crews', crewId);
  if (crew?.siteIds.includes(siteId) !== true) return refuse('not_found', { what: 'crew' }, 'crewId');
  return { ok: true, value: crew };
}

/** Who has it, and who had it before them: a phone may have been without signal through several givings. */
export async function everybodyBefore(
  records: Records,
  work: WorkOrder,
): Promise<Pick<WorkOrder, 'personIds' | 'crewId'>> {
  const { crewId, previousAssignees } = work;
  const crewBefore = previousAssignees?.crewId ?? null;
  const isOtherCrew = crewId !== null && crewBefore !== null && crewBefore !== crewId;
  const members = isOtherCrew ? ((await records.get('crews', crewBefore))?.memberIds ?? []) : [];
  return {
    personIds: [...new Set([...peopleOn(work), ...(previousAssignees?.personIds ?? []), ...members])],
    crewId: crewId ?? crewBefore,
  };
}
