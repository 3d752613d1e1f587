import type { PersonId, StepId, WorkOrderId } from '../../kernel/ids';
import {
  argsSchema,
  choiceField,
  idField,
  instantField,
  LONGEST_LINE,
  idFieldIfAny,
  optionalInstantField,
  textField,
  wholeField,
} from '../../kernel/schema/fields';
import { addMinutes, minutesBetween, parseInstant } from '../../kernel/time/instant';
import { accepted, defineOperation, refuse, rowNamed } from '../../operations/operation';
import type { Records } from '../../records/records';
import { beginWork, readsToBegin } from '../hazards/begin-work';
import { checkStep } from '../steps/find-step';
import { findAmendable, onEntry, putAmendment, readsToAmend } from '../work/amendment';
import { changeState, findWorkOfSite, newEntry } from '../work/guards';
import { checkLabor, laborContent, ROUNDING_MINUTES } from './labor';
import { timeTypes, type LaborContent } from './labor-entries';
import { stopClock } from './stop-clock';

const onWork = { workOrderId: idField<WorkOrderId>() };

/**
 * Starts the person's clock here. If it runs on another work order it is stopped there first, and that time
 * recorded; on this one already, nothing changes. Held work is resumed.
 */
const startClock = defineOperation({
  label: 'starting the clock',
  roles: ['technician', 'lead'],
  schema: argsSchema(onWork),
  file: null,
  numbered: null,
  reads: ({ workOrderId }, by) => readsToBegin(workOrderId, by),
  mend: { fields: {}, keepsTime: false },
  upgrades: [],
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
const stopOwnClock = defineOperation({
  label: 'stopping the clock',
  roles: ['technician', 'lead'],
  schema: argsSchema({ ...onWork, endedAt: optionalInstantField() }),
  file: null,
  numbered: null,
  reads: ({ workOrderId }, by) => readsToBegin(workOrderId, by),
  mend: { fields: {}, keepsTime: false },
  upgrades: [],
  apply: async (records, args, context) => {
    const clock = await records.get('clocks', context.person.id);
    if (clock === undefined || clock.workOrderId !== args.workOrderId) return refuse('clock_not_running');
    const endedAt = args.endedAt === null ? context.at : parseInstant(args.endedAt);
    if (endedAt > addMinutes(context.at, ROUNDING_MINUTES)) return refuse('labor_in_future', {}, 'endedAt');
    if (endedAt < clock.startedAt) return refuse('labor_not_positive', {}, 'endedAt');
    return stopClock(records, clock, endedAt, context);
  },
});

/**
 * A lead stops the clock that somebody forgot: at the time they give, and for a reason that stays with the time. Work in any
 * state: a clock must not stand in the way for good.
 */
const stopClockFor = defineOperation({
  label: 'stopping the clock of somebody else',
  roles: ['lead'],
  schema: argsSchema({
    ...onWork,
    personId: idField<PersonId>(),
    endedAt: instantField(),
    reason: textField(LONGEST_LINE),
  }),
  file: null,
  numbered: null,
  reads: ({ workOrderId, personId }) => [
    rowNamed('workOrders', workOrderId),
    rowNamed('people', personId),
    rowNamed('clocks', personId),
  ],
  mend: { fields: { reason: 'line' }, keepsTime: false },
  upgrades: [],
  apply: async (records, args, context) => {
    const found = await findWorkOfSite(records, args.workOrderId, context);
    if (!found.ok) return found;
    const clock = await records.get('clocks', args.personId);
    if (clock === undefined || clock.workOrderId !== args.workOrderId) return refuse('clock_not_running');
    const endedAt = parseInstant(args.endedAt);
    if (endedAt > addMinutes(context.at, ROUNDING_MINUTES)) return refuse('labor_in_future', {}, 'endedAt');
    if (endedAt < clock.startedAt) return refuse('labor_not_positive', {}, 'endedAt');
    return stopClock(records, clock, endedAt, context, args.reason);
  },
});

/** Time that was not clocked: from when, how long. */
const addLabor = defineOperation({
  label: 'this time',
  roles: ['technician', 'lead'],
  schema: argsSchema({
    ...onWork,
    personId: idField<PersonId>(),
    startedAt: instantField(),
    minutes: wholeField(),
    timeType: choiceField(timeTypes),
    stepId: idFieldIfAny<StepId>(),
  }),
  file: null,
  numbered: null,
  reads: ({ workOrderId, personId, stepId }, by) => [
    ...readsToBegin(workOrderId, by),
    rowNamed('people', personId),
    rowNamed('steps', stepId),
  ],
  mend: { fields: { minutes: 'duration' }, keepsTime: true },
  upgrades: [],
  apply: async (records, args, context) => {
    const begun = await beginWork(records, args.workOrderId, context);
    if (!begun.ok) return begun;
    const input = { ...args, startedAt: parseInstant(args.startedAt) };
    const possible = checkLabor(input, context);
    if (!possible.ok) return possible;
    const person = await records.get('people', args.personId);
    if (person?.siteIds.includes(begun.value.siteId) !== true)
      return refuse('not_found', { what: 'person' }, 'personId');
    const isOfWork = await checkStep(records, args.stepId, args.workOrderId);
    if (!isOfWork.ok) return isOfWork;
    const spent = args.stepId === undefined ? input : await takeFromClock(records, input, args.workOrderId);
    const content = await laborContent(records, begun.value, spent);
    if (!content.ok) return content;
    await records.put('entries', newEntry(begun.value, content.value, context));
    return accepted;
  },
});

/**
 * Time spent on a step while the person's clock runs on the job is the first of what that clock has run, and the clock goes on from its
 * end: no minute is counted twice, and none is lost.
 */
async function takeFromClock<Spent extends Pick<LaborContent, 'personId' | 'startedAt' | 'minutes'>>(
  records: Records,
  spent: Spent,
  workOrderId: WorkOrderId,
): Promise<Spent> {
  const clock = await records.get('clocks', spent.personId);
  const endedAt = addMinutes(spent.startedAt, spent.minutes);
  if (clock?.workOrderId !== workOrderId || endedAt <= clock.startedAt) return spent;
  const ran = minutesBetween(clock.startedAt, endedAt);
  const goesOnFrom = spent.minutes <= ran ? addMinutes(clock.startedAt, spent.minutes) : endedAt;
  await records.put('clocks', { ...clock, startedAt: goesOnFrom });
  return spent.minutes <= ran ? { ...spent, startedAt: clock.startedAt } : spent;
}

/** A time was wrong: another start, length or type stands in its place, paid by the rate of then. */
const amendLabor = defineOperation({
  label: 'the amended time',
  roles: ['technician', 'lead'],
  schema: argsSchema({
    ...onEntry,
    startedAt: instantField(),
    minutes: wholeField(),
    timeType: choiceField(timeTypes),
  }),
  file: null,
  numbered: null,
  reads: ({ workOrderId, entryId }) => readsToAmend(workOrderId, entryId),
  mend: { fields: { minutes: 'duration' }, keepsTime: true },
  upgrades: [],
  apply: async (records, args, context) => {
    const found = await findAmendable(records, args, context);
    if (!found.ok) return found;
    if (found.entry.content.kind !== 'labor') return refuse('entry_not_amendable', {}, 'entryId');
    const { personId, rate, stepId } = found.entry.content;
    const { minutes, timeType } = args;
    const input = { personId, startedAt: parseInstant(args.startedAt), minutes, timeType, stepId };
    const possible = checkLabor(input, context);
    if (!possible.ok) return possible;
    const content = await laborContent(records, found.work, input, rate);
    if (!content.ok) return content;
    await putAmendment(records, found, content.value, context);
    return accepted;
  },
});

export const laborOperations = {
  'clock.start': startClock,
  'clock.stop': stopOwnClock,
  'clock.stop-for': stopClockFor,
  'labor.add': addLabor,
  'labor.amend': amendLabor,
};
