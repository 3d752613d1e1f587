import type { PersonId, WorkOrderId } from '../../../kernel/ids';
import { hasRole } from '../../../operations/actor';
import { refuse, rowNamed, type Result, type OperationContext, type RowName } from '../../../operations/operation';
import type { Records } from '../../../records/records';
import type { Crew, Person } from '../../plant/people/people';
import { isAssignedTo, type Given } from '../work/assignment';
import { waitsForGoAhead } from '../work/waits-for-go-ahead';
import { changeState, findOpenWork } from '../work/guards';
import type { WorkOrder } from '../work/work-order';
import { acknowledgementId, coversHazards, hazardsKnownTo } from './acknowledgement';

/**
 * Whether somebody goes to work now, or says what was done: that may have been before the work order was raised, and may have been done by
 * others.
 */
export type Begins = 'now' | 'recorded' | 'of others';

/** Whether somebody can only be writing down what others did: a lead who does not have the work. Hazards bind who works. */
export function onlyWrites(work: Given, person: Pick<Person, 'id' | 'roles'>, crew: Crew | undefined): boolean {
  return hasRole(person, ['lead']) && !isAssignedTo(work, person.id, crew);
}

async function writesForOthers(records: Records, work: WorkOrder, { person }: OperationContext): Promise<boolean> {
  const crew = work.crewId === null ? undefined : await records.get('crews', work.crewId);
  return onlyWrites(work, person, crew);
}

/**
 * As `findOpenWork`, for what counts as working: the person has acknowledged the hazards of which they could know (or only writes down what
 * others did), no go-ahead is waited for, and the work order goes from Ready to Underway by it, and is put off no more. On a work order that was raised as done already,
 * what was done is only recorded, and nobody goes to work until a lead has handed it back.
 */
export async function beginWork(
  records: Records,
  id: WorkOrderId,
  begins: Begins,
  context: OperationContext,
): Promise<Result<WorkOrder>> {
  const found = await findOpenWork(records, id, context);
  if (!found.ok) return found;
  if (isOnlyRecorded(found.value)) {
    if (begins === 'now') return refuse('was_done_before', { number: found.value.number }, 'workOrderId');
    return begun(records, found.value, context);
  }
  if (waitsForGoAhead(found.value) && !hasRole(context.person, ['lead']))
    return refuse('waits_for_go_ahead', { number: found.value.number }, 'workOrderId');
  if (begins === 'of others' && (await writesForOthers(records, found.value, context)))
    return begun(records, found.value, context);
  const acknowledgement = await records.get('acknowledgements', acknowledgementId(id, context.person.id));
  if (!coversHazards(acknowledgement, hazardsKnownTo(found.value.hazards, context))) {
    return refuse('hazards_not_acknowledged');
  }
  return begun(records, found.value, context);
}

/** Whether it was raised as done already, and no lead has handed it back to be worked on. */
function isOnlyRecorded({ wasDoneBefore, handedBack }: Pick<WorkOrder, 'wasDoneBefore' | 'handedBack'>): boolean {
  return wasDoneBefore === true && handedBack === null;
}

async function begun(records: Records, found: WorkOrder, context: OperationContext): Promise<Result<WorkOrder>> {
  const work = await takenUp(records, found);
  if (work.state !== 'ready') return { ok: true, value: work };
  return { ok: true, value: await changeState(records, work, 'start', '', context) };
}

/** What was put off and is worked on is put off no more. */
async function takenUp(records: Records, work: WorkOrder): Promise<WorkOrder> {
  if (work.putOff === undefined || work.putOff === null) return work;
  const again = { ...work, putOff: null };
  await records.put('workOrders', again);
  return again;
}

/** The rows that beginning work reads. */
export function readsToBegin(workOrderId: string | undefined, by: PersonId): (RowName | null)[] {
  const acknowledgement = workOrderId === undefined ? undefined : acknowledgementId(workOrderId as WorkOrderId, by);
  return [rowNamed('workOrders', workOrderId), rowNamed('acknowledgements', acknowledgement), rowNamed('clocks', by)];
}
