import { asId, type EntryId, type PersonId, type SiteId, type WorkOrderId } from '../ids/ids';
import type { Records } from '../records/records';
import { rateId, SETTINGS_ID, settingsAt } from '../settings/settings';
import { LONGEST_LABOR_MINUTES } from '../time/duration';
import { addMinutes, parseInstant, type Instant } from '../time/instant';
import { clockMinutes, type Clock } from '../work/clock';
import { laborCost } from '../work/cost';
import { timeTypes, type LaborContent, type LaborRate, type TimeType } from '../work/entries';
import type { WorkOrder } from '../work/work-order';
import {
  argsSchema,
  choiceField,
  idField,
  instantField,
  LONGEST_LINE,
  optionalInstantField,
  textField,
  wholeField,
} from './fields';
import { beginWork, changeState, findWorkOfSite, newEntry } from './guards';
import { accepted, defineOperation, refuse, type OperationContext, type Outcome, type Refusal } from './operation';

const onWork = { workOrderId: idField<WorkOrderId>() };

/** A typed time is given in whole minutes, so its end may lie up to this far past the present. */
const ROUNDING_MINUTES = 1;
/** Time of longer ago is not recorded any more. */
const OLDEST_LABOR_MINUTES = 366 * 24 * 60;

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

/**
 * A lead stops the clock that somebody forgot: at the time they give, and for a reason that stays with the time. Work in any
 * state: a clock must not stand in the way for good.
 */
export const stopClockFor = defineOperation({
  label: 'stopping the clock of somebody else',
  roles: ['lead'],
  schema: argsSchema({
    ...onWork,
    personId: idField<PersonId>(),
    endedAt: instantField(),
    reason: textField(LONGEST_LINE),
  }),
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
    const input = { ...args, startedAt: parseInstant(args.startedAt) };
    const possible = checkLabor(input, context);
    if (!possible.ok) return possible;
    const person = await records.get('people', args.personId);
    if (person?.siteIds.includes(begun.value.siteId) !== true)
      return refuse('not_found', { what: 'person' }, 'personId');
    const content = await laborContent(records, begun.value, input);
    if (!content.ok) return content;
    await records.put('entries', newEntry(begun.value, content.value, context));
    return accepted;
  },
});

/**
 * Stops a clock at a moment: the clock goes, its time stays as an entry on the work order it ran for.
 *
 * @param because why somebody else stops it
 */
export async function stopClock(
  records: Records,
  clock: Clock,
  endedAt: Instant,
  context: OperationContext,
  because?: string,
): Promise<Outcome> {
  const minutes = clockMinutes(clock.startedAt, endedAt);
  if (minutes > LONGEST_LABOR_MINUTES) return refuse('clock_ran_too_long', {}, 'endedAt');
  const work = await records.get('workOrders', clock.workOrderId);
  await records.remove('clocks', clock.id);
  // The clock was allowed to start there, so its time belongs there, whatever became of the work order meanwhile.
  if (work === undefined) return accepted;
  const labor = { personId: clock.id, startedAt: clock.startedAt, minutes, timeType: 'regular' as const };
  const content = await laborContent(records, work, labor);
  if (!content.ok) return content;
  const stoppedBecause = because === undefined ? {} : { stoppedBecause: because };
  const entry = newEntry(work, { ...content.value, ...stoppedBecause }, context);
  await records.put('entries', { ...entry, id: asId<EntryId>(`${context.entryId}-clock`) });
  return accepted;
}

interface LaborInput {
  readonly personId: PersonId;
  readonly startedAt: Instant;
  readonly minutes: number;
  readonly timeType: TimeType;
}

/** Whether a time can have been worked: above zero, at most a day, within the last year, and not to come. */
export function checkLabor(input: Pick<LaborInput, 'startedAt' | 'minutes'>, context: OperationContext): Outcome {
  if (input.minutes <= 0) return refuse('labor_not_positive', {}, 'minutes');
  if (input.minutes > LONGEST_LABOR_MINUTES) return refuse('labor_too_long', {}, 'minutes');
  if (input.startedAt < addMinutes(context.at, -OLDEST_LABOR_MINUTES)) return refuse('labor_too_old', {}, 'startedAt');
  if (addMinutes(input.startedAt, input.minutes) > addMinutes(context.at, ROUNDING_MINUTES)) {
    return refuse('labor_in_future', {}, 'minutes');
  }
  return accepted;
}

/**
 * A time with what it costs by the rate of the person's trade on the site of the work; without a cost where that rate is
 * not there, as on the phone of somebody who may not see it.
 *
 * @param rate what it was paid by when it was first recorded; looked up when left out
 */
export async function laborContent(
  records: Records,
  work: WorkOrder,
  input: LaborInput,
  rate?: LaborRate | null,
): Promise<{ readonly ok: true; readonly value: LaborContent } | Refusal> {
  const person = await records.get('people', input.personId);
  if (person === undefined) return refuse('not_found', { what: 'person' }, 'personId');
  const paidBy = rate === undefined ? await rateOf(records, work.siteId, person.tradeId) : rate;
  const cost = paidBy === null ? null : laborCost(input.minutes, input.timeType, paidBy);
  return { ok: true, value: { kind: 'labor', ...pickLabor(input), rate: paidBy, cost } };
}

async function rateOf(records: Records, siteId: SiteId, tradeId: string): Promise<LaborRate | null> {
  const rate = await records.get('rates', rateId(siteId, tradeId));
  const settings = await records.get('settings', SETTINGS_ID);
  if (rate === undefined || settings === undefined) return null;
  const { currency } = settingsAt(settings, await records.get('sites', siteId));
  return { minorPerHour: rate.minorPerHour, overtimePercent: rate.overtimePercent, currency };
}

function pickLabor({ personId, startedAt, minutes, timeType }: LaborInput): LaborInput {
  return { personId, startedAt, minutes, timeType };
}
