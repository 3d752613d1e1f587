import { asId, type EntryId, type StepId, type WorkOrderId } from '../ids/ids';
import { hasRole } from '../people/people';
import { isAssignedTo } from '../planning/shift-order';
import type { Records } from '../records/records';
import { acknowledgementId, coversHazards, hazardsKnownAt } from '../work/clock';
import { arrivalOf, type Entry, type EntryContent } from '../work/entries';
import { canChange, isOpen, transitions, type Transition } from '../work/states';
import type { Step } from '../work/steps';
import type { WorkOrder } from '../work/work-order';
import { accepted, refuse, type OperationContext, type Outcome, type Refusal } from './operation';

type Found<T> = { readonly ok: true; readonly value: T } | Refusal;

/** The work order, if it is on a site of the person. */
export async function findWorkOfSite(
  records: Records,
  id: WorkOrderId,
  context: OperationContext,
): Promise<Found<WorkOrder>> {
  const work = await records.get('workOrders', id);
  if (work === undefined || !context.person.siteIds.includes(work.siteId)) {
    return refuse('not_found', { what: 'work order' }, 'workOrderId');
  }
  return { ok: true, value: work };
}

/** As `findWorkOfSite`, and the person's to work on (or the person is a lead). */
export async function findOwnWork(
  records: Records,
  id: WorkOrderId,
  context: OperationContext,
): Promise<Found<WorkOrder>> {
  const found = await findWorkOfSite(records, id, context);
  if (!found.ok) return found;
  const work = found.value;
  if (hasRole(context.person, ['lead'])) return { ok: true, value: work };
  const crew = work.crewId === null ? undefined : await records.get('crews', work.crewId);
  if (!isAssignedTo(work, context.person.id, crew) && !(await hadItUnknowing(records, work, context))) {
    return refuse('work_order_not_yours', { number: work.number }, 'workOrderId');
  }
  return { ok: true, value: work };
}

/** Whether it was the person's before it was given to others, and the person could not know. */
async function hadItUnknowing(records: Records, work: WorkOrder, context: OperationContext): Promise<boolean> {
  const { formerly } = work;
  if (formerly === null || formerly.since < context.knew) return false;
  const crew = formerly.crewId === null ? undefined : await records.get('crews', formerly.crewId);
  return isAssignedTo({ ...work, ...formerly }, context.person.id, crew);
}

/**
 * As `findOwnWork`, and open for recording, or ended in a way that the person could not know of.
 * Once a lead has accepted it, nothing more is recorded.
 */
export async function findOpenWork(
  records: Records,
  id: WorkOrderId,
  context: OperationContext,
): Promise<Found<WorkOrder>> {
  const found = await findOwnWork(records, id, context);
  if (!found.ok || isOpen(found.value.state) || comesLate(found.value, context)) return found;
  return refuse('work_order_closed', { number: found.value.number, state: found.value.state }, 'workOrderId');
}

/**
 * Whether a record on ended work only comes late: it was made before the end, or by somebody who could not know
 * of the end because another made it. Such a record is a fact like any other.
 */
function comesLate(work: WorkOrder, context: OperationContext): boolean {
  if (work.state !== 'finished' && work.state !== 'dropped') return false;
  const end = work.closedAt ?? work.finishedAt;
  return (end !== null && context.at < end) || wasTurnedUnseen(work, context);
}

/** Whether somebody else changed the state and the person could not know. */
function wasTurnedUnseen(work: WorkOrder, context: OperationContext): boolean {
  return work.turned !== null && work.turned.by !== context.person.id && work.turned.since >= context.knew;
}

/**
 * As `findOpenWork`, for what counts as working: the person has acknowledged the hazards of which they could know, and
 * the work order goes from Ready to Underway by it.
 */
export async function beginWork(
  records: Records,
  id: WorkOrderId,
  context: OperationContext,
): Promise<Found<WorkOrder>> {
  const found = await findOpenWork(records, id, context);
  if (!found.ok) return found;
  const acknowledgement = await records.get('acknowledgements', acknowledgementId(id, context.person.id));
  if (!coversHazards(acknowledgement, hazardsKnownAt(found.value.hazards, context.knew))) {
    return refuse('hazards_not_acknowledged');
  }
  if (found.value.state !== 'ready') return found;
  return { ok: true, value: await changeState(records, found.value, 'start', '', context) };
}

/** Whether somebody else had already brought the work order where the person wants it, and the person could not know. */
export function isThereAlready(work: WorkOrder, transition: Transition, context: OperationContext): boolean {
  return work.state === transitions[transition].to && wasTurnedUnseen(work, context);
}

/** Why a work order may not change its state so, or `accepted`. */
export function mayChangeState(work: WorkOrder, transition: Transition): Outcome {
  if (canChange(work.state, transition)) return accepted;
  return refuse('state_forbids', { number: work.number, state: work.state, wanted: transitions[transition].to });
}

/**
 * Carries out a transition that was found allowed, with the marks that go with it. The entry that says so has
 * an id of its own, because the operation may add another entry beside it.
 */
export async function changeState(
  records: Records,
  work: WorkOrder,
  transition: Transition,
  reason: string,
  context: OperationContext,
): Promise<WorkOrder> {
  const to = transitions[transition].to;
  const changed: WorkOrder = {
    ...work,
    state: to,
    startedAt: work.startedAt ?? (to === 'underway' ? context.at : null),
    finishedAt: to === 'finished' ? context.at : transition === 'handBack' ? null : work.finishedAt,
    finishedBy: to === 'finished' ? context.person.id : transition === 'handBack' ? null : work.finishedBy,
    closedAt: to === 'accepted' || to === 'dropped' ? context.at : work.closedAt,
    held: transition === 'hold' ? work.held : null,
    handedBack: to === 'finished' ? null : work.handedBack,
    turned: { by: context.person.id, since: context.now },
  };
  await records.put('workOrders', changed);
  const content: EntryContent = { kind: 'state', from: work.state, to, reason };
  const entry = newEntry(work, content, context);
  await records.put('entries', { ...entry, id: stateEntryId(entry) });
  return changed;
}

/** The entry of this operation on a work order. */
export function newEntry(work: WorkOrder, content: EntryContent, context: OperationContext): Entry {
  const arrival = arrivalOf(context.at, context.now, context.clockOffMinutes);
  return {
    ...(arrival === undefined ? {} : { arrival }),
    id: context.entryId,
    siteId: work.siteId,
    workOrderId: work.id,
    assetId: work.assetId,
    at: context.at,
    by: context.person.id,
    amends: null,
    content,
  };
}

function stateEntryId(entry: Entry): EntryId {
  return asId<EntryId>(`${entry.id}-state`);
}

/** The step, if it belongs to the work order. */
export async function findStep(records: Records, id: StepId, workOrderId: WorkOrderId): Promise<Found<Step>> {
  const step = await records.get('steps', id);
  if (step === undefined || step.workOrderId !== workOrderId) return refuse('not_found', { what: 'step' }, 'stepId');
  return { ok: true, value: step };
}
