import { asId, type EntryId, type PersonId, type WorkOrderId } from '../ids/ids';
import type { Records } from '../records/records';
import { LONGEST_LABOR_MINUTES } from '../time/duration';
import { addMinutes, parseInstant, type Instant } from '../time/instant';
import { clockMinutes, type Clock } from '../work/clock';
import { laborCost } from '../work/cost';
import { timeTypes, type LaborContent, type TimeType } from '../work/entries';
import { argsSchema, choiceField, idField, instantField, optionalInstantField, wholeField } from './fields';
import { beginWork, changeState, newEntry } from './guards';
import { accepted, defineOperation, refuse, type OperationContext, type Outcome } from './operation';

const onWork = { workOrderId: idField<WorkOrderId>() };

/** A typed time is given in whole minutes, so its end may lie up to this far past the present. */
const ROUNDING_MINUTES = 1;

/**
 * Starts the person's clock here. If it runs on another work order it is stopped there first, and that time
 * recorded; on this one already, nothing changes. Held work is resumed.
 */
export const startClock = defineOperation({
  label: 'starting the clock',
  roles: ['technician', 'lead'],
  schema: argsSchema(onWork),
  apply: async (records, args, context) => {
    const running = await records.get('clocks', context.person.id);
    if (running?.workOrderId === args.workOrderId) return accepted;
    const begun = await beginWork(records, args.workOrderId, context);
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

/** Stops the person's clock and records its time. `endedAt` corrects a clock that was forgotten. */
export const stopOwnClock = defineOperation({
  label: 'stopping the clock',
  roles: ['technician', 'lead'],
  schema: argsSchema({ ...onWork, endedAt: optionalInstantField() }),
  apply: async (records, args, context) => {
    const clock = await records.get('clocks', context.person.id);
    if (clock === undefined || clock.workOrderId !== args.workOrderId) return refuse('clock_not_running');
    const endedAt = args.endedAt === null ? context.at : parseInstant(args.endedAt);
    if (endedAt > addMinutes(context.at, ROUNDING_MINUTES)) return refuse('labor_in_future', {}, 'endedAt');
    if (endedAt < clock.startedAt) return refuse('labor_not_positive', {}, 'endedAt');
    return stopClock(records, clock, endedAt, context);
  },
});

/** Time that was not clocked: from when, how long. */
export const addLabor = defineOperation({
  label: 'this time',
  roles: ['technician', 'lead'],
  schema: argsSchema({
    ...onWork,
    personId: idField<PersonId>(),
    startedAt: instantField(),
    minutes: wholeField(),
    timeType: choiceField(timeTypes),
  }),
  apply: async (records, args, context) => {
    const begun = await beginWork(records, args.workOrderId, context);
    if (!begun.ok) return begun;
    const content = await laborContent(records, { ...args, startedAt: parseInstant(args.startedAt) }, context);
    if (!content.ok) return content;
    await records.put('entries', newEntry(begun.value, content.value, context));
    return accepted;
  },
});

/** Stops a clock at a moment: the clock goes, its time stays as an entry on the work order it ran for. */
export async function stopClock(
  records: Records,
  clock: Clock,
  endedAt: Instant,
  context: OperationContext,
): Promise<Outcome> {
  const minutes = clockMinutes(clock.startedAt, endedAt);
  if (minutes > LONGEST_LABOR_MINUTES) return refuse('clock_ran_too_long', {}, 'endedAt');
  const work = await records.get('workOrders', clock.workOrderId);
  await records.remove('clocks', clock.id);
  // The clock was allowed to start there, so its time belongs there, whatever became of the work order meanwhile.
  if (work === undefined) return accepted;
  const labor = { personId: clock.id, startedAt: clock.startedAt, minutes, timeType: 'regular' as const };
  const content = await laborContent(records, labor, context);
  if (!content.ok) return content;
  const entry = newEntry(work, content.value, context);
  await records.put('entries', { ...entry, id: asId<EntryId>(`${context.entryId}-clock`) });
  return accepted;
}

interface LaborInput {
  readonly personId: PersonId;
  readonly startedAt: Instant;
  readonly minutes: number;
  readonly timeType: TimeType;
}

/** Checks a time and works out what it costs. Used for new times and for amended ones. */
export async function laborContent(
  records: Records,
  input: LaborInput,
  context: OperationContext,
): Promise<{ readonly ok: true; readonly value: LaborContent } | Extract<Outcome, { ok: false }>> {
  if (input.minutes <= 0) return refuse('labor_not_positive', {}, 'minutes');
  if (input.minutes > LONGEST_LABOR_MINUTES) return refuse('labor_too_long', {}, 'minutes');
  if (addMinutes(input.startedAt, input.minutes) > addMinutes(context.at, ROUNDING_MINUTES)) {
    return refuse('labor_in_future', {}, 'minutes');
  }
  const person = await records.get('people', input.personId);
  if (person === undefined) return refuse('not_found', { what: 'person' }, 'personId');
  const cost = laborCost(input.minutes, person.craftId, input.timeType, context.settings);
  return { ok: true, value: { kind: 'labor', ...pickLabor(input), cost } };
}

function pickLabor({ personId, startedAt, minutes, timeType }: LaborInput): LaborInput {
  return { personId, startedAt, minutes, timeType };
}
