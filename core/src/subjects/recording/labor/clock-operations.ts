import type { CrewId, PersonId, WorkOrderId } from '../../../kernel/ids';
import {
  argsSchema,
  idField,
  idFieldIfAny,
  idListField,
  instantField,
  LONGEST_LINE,
  optionalInstantField,
  optionalTextField,
} from '../../../kernel/schema/fields';
import { addMinutes, parseInstant, type Instant } from '../../../kernel/time/instant';
import { hasRole } from '../../../operations/actor';
import {
  accepted,
  defineOperation,
  refuse,
  rowNamed,
  type OperationContext,
  type Outcome,
} from '../../../operations/operation';
import type { Records } from '../../../records/records';
import { beginWork, readsToBegin } from '../../orders/hazards/begin-work';
import { isAssignedTo } from '../../orders/work/assignment';
import { changeState, findWorkOfSite } from '../../orders/work/guards';
import type { WorkOrder } from '../../orders/work/work-order';
import type { Clock } from './clock';
import { ROUNDING_MINUTES } from './labor';
import { recordClock, stopClock } from './stop-clock';

const onWork = { workOrderId: idField<WorkOrderId>() };
/** Mates whose clocks are started at once. */
const MOST_MATES = 20;

/**
 * Starts the person's clock here, or goes on with one that is paused. If it runs on another work order it is stopped there first,
 * and that time recorded; on this one already, nothing changes. Held work is resumed.
 */
const startClock = defineOperation({
  label: 'starting the clock',
  inLog: 'forLeads',
  governs: 'nothing',
  roles: ['technician', 'lead'],
  schema: argsSchema(onWork),
  reads: ({ workOrderId }, by) => readsToBegin(workOrderId, by),
  correct: { fields: {}, keepsTime: false },
  apply: async (records, args, context) => {
    const running = await records.get('clocks', context.person.id);
    if (running?.workOrderId === args.workOrderId && running.isPaused !== true) return accepted;
    const begun = await beginWork(records, args.workOrderId, 'now', context);
    if (!begun.ok) return begun;
    if (running !== undefined) {
      const stopped = await stopClock(records, running, context.at, context);
      if (!stopped.ok) return stopped;
    }
    const work = begun.value;
    if (work.state === 'held') await changeState(records, work, 'resume', '', context);
    await records.put('clocks', {
      id: context.person.id,
      siteId: work.siteId,
      workOrderId: work.id,
      startedAt: context.at,
    });
    return accepted;
  },
});

/** A clock is not stopped in the future, nor before it was started. */
function checkEnd(clock: Clock, endedAt: Instant, { at }: OperationContext): Outcome {
  if (endedAt > addMinutes(at, ROUNDING_MINUTES)) return refuse('labor_in_future', {}, 'endedAt');
  return endedAt < clock.startedAt ? refuse('labor_not_positive', {}, 'endedAt') : accepted;
}

/** Stops the person's clock and records its time. `endedAt` corrects a clock that was forgotten. */
const stopOwnClock = defineOperation({
  label: 'stopping the clock',
  inLog: 'forLeads',
  governs: 'nothing',
  roles: ['technician', 'lead'],
  schema: argsSchema({ ...onWork, endedAt: optionalInstantField() }),
  reads: ({ workOrderId }, by) => readsToBegin(workOrderId, by),
  correct: { fields: {}, keepsTime: false },
  apply: async (records, args, context) => {
    const clock = await records.get('clocks', context.person.id);
    if (clock === undefined || clock.workOrderId !== args.workOrderId) return refuse('clock_not_running');
    const endedAt = args.endedAt === null ? context.at : parseInstant(args.endedAt);
    const possible = checkEnd(clock, endedAt, context);
    if (!possible.ok) return possible;
    return stopClock(records, clock, endedAt, context);
  },
});

/**
 * A break: what the person's clock has run is recorded, and it stands until it goes on here or is started elsewhere. Paused already,
 * nothing changes.
 */
const pauseClock = defineOperation({
  label: 'pausing the clock',
  inLog: 'forLeads',
  governs: 'nothing',
  roles: ['technician', 'lead'],
  schema: argsSchema(onWork),
  reads: ({ workOrderId }, by) => readsToBegin(workOrderId, by),
  correct: { fields: {}, keepsTime: false },
  apply: async (records, args, context) => {
    const clock = await records.get('clocks', context.person.id);
    if (clock === undefined || clock.workOrderId !== args.workOrderId) return refuse('clock_not_running');
    if (clock.isPaused === true) return accepted;
    const recorded = await recordClock(records, clock, context.at, context);
    if (!recorded.ok) return recorded;
    await records.put('clocks', { ...clock, startedAt: context.at, isPaused: true });
    return accepted;
  },
});

/**
 * Starts the clocks of mates who work here with the person: of those who have this work, or are with the person in the crew that is
 * named. A clock that runs elsewhere is stopped there, and its person is told; one that runs here already is left. Hazards are read by
 * everybody for themselves: the first thing that a mate records asks for it.
 */
const startClockFor = defineOperation({
  label: 'starting the clock of a mate',
  inLog: 'forLeads',
  governs: 'nothing',
  roles: ['technician', 'lead'],
  schema: argsSchema({ ...onWork, personIds: idListField<PersonId>(MOST_MATES), crewId: idFieldIfAny<CrewId>() }),
  reads: ({ workOrderId }, by) => readsToBegin(workOrderId, by),
  correct: { fields: {}, keepsTime: false },
  apply: async (records, args, context) => {
    const begun = await beginWork(records, args.workOrderId, 'now', context);
    if (!begun.ok) return begun;
    const work = begun.value;
    for (const [index, personId] of [...new Set(args.personIds)].entries()) {
      const mate = await records.get('people', personId);
      if (mate?.siteIds.includes(work.siteId) !== true || !hasRole(mate, ['technician', 'lead']))
        return refuse('not_found', { what: 'person' }, 'personIds');
      if (!(await worksWith(records, work, personId, args.crewId, context)))
        return refuse('mate_not_with_you', {}, 'personIds');
      const running = await records.get('clocks', personId);
      if (running?.workOrderId === work.id && running.isPaused !== true) continue;
      if (running !== undefined) {
        const because = `started on ${work.number}`;
        const stopped = await stopClock(records, running, context.at, context, because, `clock-${index + 1}`);
        if (!stopped.ok) return stopped;
      }
      const startedBy = personId === context.person.id ? {} : { startedBy: context.person.id };
      const clock = { id: personId, siteId: work.siteId, workOrderId: work.id, startedAt: context.at };
      await records.put('clocks', { ...clock, ...startedBy });
    }
    if (work.state === 'held') await changeState(records, work, 'resume', '', context);
    return accepted;
  },
});

/** Whether somebody has the work, or is in this crew with the person who asks. */
async function worksWith(
  records: Records,
  work: WorkOrder,
  mateId: PersonId,
  crewId: CrewId | undefined,
  { person }: OperationContext,
): Promise<boolean> {
  if (mateId === person.id || hasRole(person, ['lead'])) return true;
  const ofWork = work.crewId === null ? undefined : await records.get('crews', work.crewId);
  if (isAssignedTo(work, mateId, ofWork)) return true;
  const crew = crewId === undefined ? undefined : await records.get('crews', crewId);
  return crew?.memberIds.includes(mateId) === true && crew.memberIds.includes(person.id);
}

/**
 * A lead stops the clock that somebody forgot: at the time they give, and for a reason that stays with the time. Work in any
 * state: a clock must not stand in the way for good. Who started the clock of a mate may stop it too, and needs no reason.
 */
const stopClockFor = defineOperation({
  label: 'stopping the clock of somebody else',
  inLog: 'forLeads',
  governs: 'nothing',
  roles: ['technician', 'lead'],
  schema: argsSchema({
    ...onWork,
    personId: idField<PersonId>(),
    endedAt: instantField(),
    reason: optionalTextField(LONGEST_LINE),
  }),
  reads: ({ workOrderId, personId }) => [
    rowNamed('workOrders', workOrderId),
    rowNamed('people', personId),
    rowNamed('clocks', personId),
  ],
  correct: { fields: { reason: 'line' }, keepsTime: false },
  apply: async (records, args, context) => {
    const found = await findWorkOfSite(records, args.workOrderId, context);
    if (!found.ok) return found;
    const clock = await records.get('clocks', args.personId);
    if (clock === undefined || clock.workOrderId !== args.workOrderId) return refuse('clock_not_running');
    const endedAt = parseInstant(args.endedAt);
    const isStarter = clock.startedBy === context.person.id;
    if (!isStarter && !hasRole(context.person, ['lead'])) return refuse('role_missing', { roles: 'lead' });
    if (!isStarter && args.reason.trim() === '') return refuse('clock_reason_missing', {}, 'reason');
    const possible = checkEnd(clock, endedAt, context);
    if (!possible.ok) return possible;
    return stopClock(records, clock, endedAt, context, args.reason.trim() === '' ? undefined : args.reason);
  },
});

export const clockOperations = {
  'clock.start': startClock,
  'clock.stop': stopOwnClock,
  'clock.pause': pauseClock,
  'clock.start-for': startClockFor,
  'clock.stop-for': stopClockFor,
};
