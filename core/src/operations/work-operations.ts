import type { WorkOrderId } from '../ids/ids';
import type { Records } from '../records/records';
import { isolationOf } from '../work/isolation';
import { acknowledgementId, coversHazards, hazardsKnownAt } from '../work/clock';
import { owedBefore, type Owed } from '../work/owed';
import { transitions } from '../work/states';
import { holdReasons, type WorkOrder } from '../work/work-order';
import { stopClock } from './labor-operations';
import { argsSchema, choiceField, idField, idListField, LONGEST_LINE, optionalTextField, textField } from './fields';
import {
  beginWork,
  changeState,
  findOpenWork,
  findOwnWork,
  findWorkOfSite,
  isThereAlready,
  mayChangeState,
  newEntry,
} from './guards';
import { accepted, defineOperation, refuse, type OperationContext, type Outcome, type Refusal } from './operation';

const onWork = { workOrderId: idField<WorkOrderId>() };
const MOST_HAZARDS = 100;

/** The person has read these hazards. Must name every hazard of which the person could know, and no other. */
export const acknowledgeHazards = defineOperation({
  label: 'acknowledging the hazards',
  roles: ['technician', 'lead'],
  schema: argsSchema({
    ...onWork,
    hazardIds: idListField(MOST_HAZARDS, 'Name the hazards.'),
  }),
  apply: async (records, args, context) => {
    const found = await findOpenWork(records, args.workOrderId, context);
    if (!found.ok) return found;
    const work = found.value;
    const named = new Set<string>(args.hazardIds);
    const isComplete = hazardsKnownAt(work.hazards, context.knew).every(({ id }) => named.has(id));
    const ofWork = new Set(work.hazards.map(({ id }) => id));
    if (!isComplete || [...named].some((id) => !ofWork.has(id))) return refuse('hazards_changed', {}, 'hazardIds');
    const hazardIds: string[] = [...args.hazardIds];
    await records.put('acknowledgements', {
      id: acknowledgementId(work.id, context.person.id),
      siteId: work.siteId,
      workOrderId: work.id,
      personId: context.person.id,
      hazardIds,
      at: context.at,
    });
    await records.put('entries', newEntry(work, { kind: 'acknowledgement', hazardIds }, context));
    return accepted;
  },
});

/** Something dangerous was noticed: everybody else reads and acknowledges the list again before going on. */
export const addHazard = defineOperation({
  label: 'this hazard',
  roles: ['technician', 'lead'],
  schema: argsSchema({ ...onWork, hazard: textField(LONGEST_LINE), control: textField(LONGEST_LINE) }),
  apply: async (records, args, context) => {
    const found = await findOpenWork(records, args.workOrderId, context);
    if (!found.ok) return found;
    const work = found.value;
    if (work.hazards.length >= MOST_HAZARDS) return refuse('too_many_hazards', { limit: MOST_HAZARDS });
    const id = acknowledgementId(work.id, context.person.id);
    const acknowledgement = await records.get('acknowledgements', id);
    const hadReadAll = coversHazards(acknowledgement, work.hazards);
    const hazard = { id: context.operationId, hazard: args.hazard, control: args.control };
    const hazards = [...work.hazards, { ...hazard, addedAt: context.now }];
    await records.put('workOrders', { ...work, hazards, hazardsSince: context.now });
    await records.put('entries', newEntry(work, { kind: 'hazard', ...hazard }, context));
    if (!hadReadAll) return accepted;
    const hazardIds = hazards.map((each) => each.id);
    await records.put('acknowledgements', {
      id,
      siteId: work.siteId,
      workOrderId: work.id,
      personId: context.person.id,
      hazardIds,
      at: context.at,
    });
    return accepted;
  },
});

/** Takes up a ready work order without starting a clock. */
export const startWork = defineOperation({
  label: 'starting',
  roles: transitions.start.roles,
  schema: argsSchema(onWork),
  apply: async (records, args, context) => {
    const found = await findOwnWork(records, args.workOrderId, context);
    if (!found.ok) return found;
    if (isThereAlready(found.value, 'start', context)) return accepted;
    const allowed = mayChangeState(found.value, 'start');
    if (!allowed.ok) return allowed;
    const begun = await beginWork(records, args.workOrderId, context);
    return begun.ok ? accepted : begun;
  },
});

/** Work rests for a reason. The person's own clock on it stops and its time is recorded. */
export const holdWork = defineOperation({
  label: 'holding',
  roles: transitions.hold.roles,
  schema: argsSchema({
    ...onWork,
    reason: choiceField(holdReasons),
    note: optionalTextField(),
  }),
  apply: async (records, args, context) => {
    const found = await findOwnWork(records, args.workOrderId, context);
    if (!found.ok) return found;
    if (isThereAlready(found.value, 'hold', context)) return stopOwnClockOn(records, found.value, context);
    const allowed = mayChangeState(found.value, 'hold');
    if (!allowed.ok) return allowed;
    const stopped = await stopOwnClockOn(records, found.value, context);
    if (!stopped.ok) return stopped;
    const held = { ...found.value, held: { reason: args.reason, note: args.note } };
    await changeState(records, held, 'hold', args.reason, context);
    return accepted;
  },
});

export const resumeWork = defineOperation({
  label: 'resuming',
  roles: transitions.resume.roles,
  schema: argsSchema(onWork),
  apply: async (records, args, context) => {
    const found = await findOwnWork(records, args.workOrderId, context);
    if (!found.ok) return found;
    if (isThereAlready(found.value, 'resume', context)) return accepted;
    const allowed = mayChangeState(found.value, 'resume');
    if (!allowed.ok) return allowed;
    await changeState(records, found.value, 'resume', '', context);
    return accepted;
  },
});

/**
 * The work is done. Refused while something is owed, and when it was handed back unseen; stops the person's own clock.
 * When somebody else finished it unseen, that finish stands.
 */
export const finishWork = defineOperation({
  label: 'finishing',
  roles: transitions.finish.roles,
  schema: argsSchema(onWork),
  apply: async (records, args, context) => {
    const found = await findOwnWork(records, args.workOrderId, context);
    if (!found.ok) return found;
    const work = found.value;
    if (isThereAlready(work, 'finish', context)) return stopOwnClockOn(records, work, context);
    if (work.handedBack !== null && work.handedBack.since >= context.knew) {
      return refuse('handed_back_unseen', { number: work.number });
    }
    const allowed = mayChangeState(work, 'finish');
    if (!allowed.ok) return allowed;
    const owed = owedBefore(
      context.person.id,
      await records.list('steps', 'workOrder', work.id),
      await records.list('entries', 'workOrder', work.id),
      await records.list('clocks', 'workOrder', work.id),
      context.settings.owed[work.kind],
      work.isolation,
    );
    if (owed.length > 0) return refuse('not_finished_owed', countOwed(owed));
    const stopped = await stopOwnClockOn(records, work, context);
    if (!stopped.ok) return stopped;
    await changeState(records, work, 'finish', '', context);
    return accepted;
  },
});

/** The lead takes finished work as it is; from then on it is locked. Refused while a clock runs or a lock is on. */
export const acceptWork = defineOperation({
  label: 'accepting',
  roles: transitions.accept.roles,
  schema: argsSchema(onWork),
  apply: async (records, args, context) =>
    (await standInTheWay(records, args.workOrderId, 'not_accepted_owed', context)) ??
    leadTransition(records, args.workOrderId, 'accept', '', context),
});

/** The lead sends finished work back, saying why. */
export const handBackWork = defineOperation({
  label: 'handing back',
  roles: transitions.handBack.roles,
  schema: argsSchema({ ...onWork, reason: textField(LONGEST_LINE) }),
  apply: async (records, args, context) => {
    const outcome = await leadTransition(records, args.workOrderId, 'handBack', args.reason, context);
    const work = outcome.ok ? await records.get('workOrders', args.workOrderId) : undefined;
    if (work !== undefined) {
      const handedBack = { reason: args.reason, by: context.person.id, since: context.now };
      await records.put('workOrders', { ...work, handedBack });
    }
    return outcome;
  },
});

/** The work will not be done. Refused while a clock runs or a lock is on. */
export const dropWork = defineOperation({
  label: 'dropping',
  roles: transitions.drop.roles,
  schema: argsSchema({ ...onWork, reason: textField(LONGEST_LINE) }),
  apply: async (records, args, context) =>
    (await standInTheWay(records, args.workOrderId, 'not_dropped_owed', context)) ??
    leadTransition(records, args.workOrderId, 'drop', args.reason, context),
});

/** Running clocks and locks that are on, without which nothing is accepted or dropped. */
async function standInTheWay(
  records: Records,
  workOrderId: WorkOrderId,
  code: 'not_accepted_owed' | 'not_dropped_owed',
  context: OperationContext,
): Promise<Refusal | null> {
  const found = await findWorkOfSite(records, workOrderId, context);
  if (!found.ok) return found;
  const clocks = (await records.list('clocks', 'workOrder', workOrderId)).length;
  const entries = await records.list('entries', 'workOrder', workOrderId);
  const locks = isolationOf(found.value.isolation, entries).points.reduce((sum, point) => sum + point.locks.length, 0);
  return clocks + locks === 0 ? null : refuse(code, { clocks, locks });
}

async function leadTransition(
  records: Records,
  workOrderId: WorkOrderId,
  transition: 'accept' | 'handBack' | 'drop',
  reason: string,
  context: OperationContext,
): Promise<Outcome> {
  const found = await findOwnWork(records, workOrderId, context);
  if (!found.ok) return found;
  if (transition !== 'handBack' && isThereAlready(found.value, transition, context)) return accepted;
  const allowed = mayChangeState(found.value, transition);
  if (!allowed.ok) return allowed;
  await changeState(records, found.value, transition, reason, context);
  return accepted;
}

async function stopOwnClockOn(records: Records, work: WorkOrder, context: OperationContext): Promise<Outcome> {
  const clock = await records.get('clocks', context.person.id);
  if (clock === undefined || clock.workOrderId !== work.id) return accepted;
  return stopClock(records, clock, context.at, context);
}

/** How many of each there are, for the sentence that says so. */
function countOwed(owed: readonly Owed[]): { steps: number; times: number; clocks: number; locks: number } {
  const count = (what: Owed['what']): number => owed.filter((each) => each.what === what).length;
  return { steps: count('step'), times: count('time'), clocks: count('clockOfAnother'), locks: count('lock') };
}
