import type { WorkOrderId } from '../../../kernel/ids';
import { couldKnow, madeKnownBy } from '../../../operations/known';
import { hasRole } from '../../../operations/actor';
import { accepted, refuse, type Result, type OperationContext, type Outcome } from '../../../operations/operation';
import type { Records } from '../../../records/records';
import { isAssignedTo } from './assignment';
import { arrivalOf, type Entry, type EntryContent } from './entries';
import { entryBeside } from './entry-ids';
import { canChange, isOpen, transitions, type Transition } from './states';
import type { WorkOrder } from './work-order';

/** The work order, if it is on a site of the person. */
export async function findWorkOfSite(
  records: Records,
  id: WorkOrderId,
  context: OperationContext,
): Promise<Result<WorkOrder>> {
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
): Promise<Result<WorkOrder>> {
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
  const { previousAssignees } = work;
  if (previousAssignees === null || couldKnow(previousAssignees, context)) return false;
  const crew = previousAssignees.crewId === null ? undefined : await records.get('crews', previousAssignees.crewId);
  return isAssignedTo(previousAssignees, context.person.id, crew);
}

/**
 * As `findOwnWork`, and open for recording, or ended in a way that the person could not know of.
 * Once a lead has accepted it, nothing more is recorded.
 */
export async function findOpenWork(
  records: Records,
  id: WorkOrderId,
  context: OperationContext,
): Promise<Result<WorkOrder>> {
  const found = await findOwnWork(records, id, context);
  return found.ok ? openForRecording(found.value, context) : found;
}

/** As `findOpenWork`, whoever has it: for what the store gives and takes back on the jobs of others. */
export async function findOpenWorkOfSite(
  records: Records,
  id: WorkOrderId,
  context: OperationContext,
): Promise<Result<WorkOrder>> {
  const found = await findWorkOfSite(records, id, context);
  return found.ok ? openForRecording(found.value, context) : found;
}

function openForRecording(work: WorkOrder, context: OperationContext): Result<WorkOrder> {
  if (isOpen(work.state) || comesLate(work, context)) return { ok: true, value: work };
  return refuse('work_order_closed', { number: work.number, state: work.state }, 'workOrderId');
}

/**
 * Whether a record on ended work only comes late: it was made before the end, or by somebody who could not know
 * of the end because another made it. Such a record is a fact like any other.
 */
function comesLate(work: WorkOrder, context: OperationContext): boolean {
  if (work.state !== 'finished' && work.state !== 'dropped') return false;
  const end = work.closedAt ?? work.finishedAt;
  return (end !== null && context.at < end) || wasChangedUnseen(work, context);
}

/** Whether somebody else changed the state and the person could not know. */
function wasChangedUnseen(work: WorkOrder, context: OperationContext): boolean {
  return (
    work.lastTransition !== null &&
    work.lastTransition.by !== context.person.id &&
    !couldKnow(work.lastTransition, context)
  );
}

/** Whether somebody else had already brought the work order where the person wants it, and the person could not know. */
export function reachedUnseen(work: WorkOrder, transition: Transition, context: OperationContext): boolean {
  return work.state === transitions[transition].to && wasChangedUnseen(work, context);
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
    lastTransition: { by: context.person.id, ...madeKnownBy(context) },
  };
  await records.put('workOrders', changed);
  const content: EntryContent = { kind: 'state', from: work.state, to, reason };
  const entry = newEntry(work, content, context);
  await records.put('entries', { ...entry, id: entryBeside(entry.id, 'state') });
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
