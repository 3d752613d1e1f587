import type { PersonId, StepId, WorkOrderId } from '../../../kernel/ids';
import {
  argsSchema,
  choiceField,
  idField,
  idFieldIfAny,
  idListFieldIfAny,
  instantField,
  keyFieldIfAny,
  wholeField,
} from '../../../kernel/schema/fields';
import { addMinutes, minutesBetween, parseInstant } from '../../../kernel/time/instant';
import { hasRole } from '../../../operations/actor';
import {
  accepted,
  defineOperation,
  refuse,
  rowNamed,
  type Result,
  type OperationContext,
  type Outcome,
} from '../../../operations/operation';
import type { Records } from '../../../records/records';
import { beginWork, readsToBegin } from '../../orders/hazards/begin-work';
import { SETTINGS_ID } from '../../orders/settings/settings';
import { machineOfEntry } from '../../steps/steps/machine-of-entry';
import { findAmendable, onEntry, putAmendment, readsToAmend } from '../../orders/work/amendment';
import { entryBeside } from '../../orders/work/entry-ids';
import { findOwnWork, newEntry } from '../../orders/work/guards';
import { owesTime, settleTime } from '../../orders/work/time-owed';
import type { WorkOrder } from '../../orders/work/work-order';
import { clockOperations } from './clock-operations';
import { checkLabor, laborContent } from './labor';
import { timeTypes, type LaborContent } from './labor-entries';
import { otherTimeOperations } from './other-time-operations';

/** Mates whose time is typed at once. */
const MOST_AT_ONCE = 20;

const onWork = { workOrderId: idField<WorkOrderId>() };

/** Time that was not clocked: from when, how long; of one person, or of several who worked together. */
const addLabor = defineOperation({
  label: 'this time',
  inLog: 'forLeads',
  governs: 'nothing',
  roles: ['technician', 'lead'],
  schema: argsSchema({
    ...onWork,
    personId: idField<PersonId>(),
    startedAt: instantField(),
    minutes: wholeField(),
    timeType: choiceField(timeTypes),
    stepId: idFieldIfAny<StepId>(),
    alsoFor: idListFieldIfAny<PersonId>(MOST_AT_ONCE),
    tradeId: keyFieldIfAny(),
  }),
  reads: ({ workOrderId, personId, stepId }, by) => [
    ...readsToBegin(workOrderId, by),
    rowNamed('people', personId),
    rowNamed('steps', stepId),
  ],
  correct: { fields: { minutes: 'duration' }, keepsTime: true },
  apply: async (records, args, context) => {
    const begun = await workForTime(records, args.workOrderId, args, context);
    if (!begun.ok) return begun;
    const input = { ...args, startedAt: parseInstant(args.startedAt) };
    const possible = checkLabor(input, context);
    if (!possible.ok) return possible;
    const person = await records.get('people', args.personId);
    if (person?.siteIds.includes(begun.value.siteId) !== true)
      return refuse('not_found', { what: 'person' }, 'personId');
    const machine = await machineOfEntry(records, begun.value, { stepId: args.stepId });
    if (!machine.ok) return machine;
    const tradeIsRight = await checkTrade(records, args.tradeId, context);
    if (!tradeIsRight.ok) return tradeIsRight;
    const spent = args.stepId === undefined ? input : await takeFromClock(records, input, args.workOrderId);
    const content = await laborContent(records, begun.value, spent);
    if (!content.ok) return content;
    const entry = { ...newEntry(begun.value, content.value, context), assetId: machine.value };
    await records.put('entries', entry);
    const mates = [...new Set(args.alsoFor)].filter((id) => id !== args.personId);
    for (const [index, personId] of mates.entries()) {
      const mate = await records.get('people', personId);
      if (mate?.siteIds.includes(begun.value.siteId) !== true)
        return refuse('not_found', { what: 'person' }, 'alsoFor');
      const ofMate = await laborContent(records, begun.value, { ...input, personId });
      if (!ofMate.ok) return ofMate;
      const id = entryBeside(context.entryId, `for-${index + 1}`);
      await records.put('entries', { ...entry, id, content: ofMate.value });
    }
    await settleTime(records, args.workOrderId, [args.personId, ...mates]);
    return accepted;
  },
});

/** The work on which somebody's time is recorded: open, or finished without it, which is then made good. */
async function workForTime(
  records: Records,
  id: WorkOrderId,
  {
    personId,
    startedAt,
    alsoFor = [],
  }: {
    readonly personId: PersonId;
    readonly startedAt: string;
    readonly alsoFor?: readonly PersonId[] | undefined;
  },
  context: OperationContext,
): Promise<Result<WorkOrder>> {
  const isOwed = owesTime(await records.get('workOrders', id), personId);
  if (isOwed) return findOwnWork(records, id, context);
  const work = await records.get('workOrders', id);
  // On what was raised as done already, time since then would be work that nobody is to do.
  if (work !== undefined && parseInstant(startedAt) >= work.createdAt && work.wasDoneBefore === true)
    return beginWork(records, id, 'now', context);
  const isOwn = [personId, ...alsoFor].includes(context.person.id);
  return beginWork(records, id, isOwn ? 'recorded' : 'of others', context);
}

/** Time is booked by the trade of its person; a lead may choose another of the trades there are. */
async function checkTrade(records: Records, tradeId: string | undefined, context: OperationContext): Promise<Outcome> {
  if (tradeId === undefined) return accepted;
  if (!hasRole(context.person, ['lead'])) return refuse('trade_not_yours_to_choose', {}, 'tradeId');
  const settings = await records.get('settings', SETTINGS_ID);
  return settings?.trades.some(({ id }) => id === tradeId) === true
    ? accepted
    : refuse('not_found', { what: 'trade' }, 'tradeId');
}

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
  if (clock?.workOrderId !== workOrderId || clock.isPaused === true || endedAt <= clock.startedAt) return spent;
  const ran = minutesBetween(clock.startedAt, endedAt);
  const goesOnFrom = spent.minutes <= ran ? addMinutes(clock.startedAt, spent.minutes) : endedAt;
  await records.put('clocks', { ...clock, startedAt: goesOnFrom });
  return spent.minutes <= ran ? { ...spent, startedAt: clock.startedAt } : spent;
}

/** A time was wrong: another start, length or type stands in its place, paid by the rate of then. */
const amendLabor = defineOperation({
  label: 'the amended time',
  inLog: 'forLeads',
  governs: 'nothing',
  roles: ['technician', 'lead'],
  schema: argsSchema({
    ...onEntry,
    startedAt: instantField(),
    minutes: wholeField(),
    timeType: choiceField(timeTypes),
  }),
  reads: ({ workOrderId, entryId }) => readsToAmend(workOrderId, entryId),
  correct: { fields: { minutes: 'duration' }, keepsTime: true },
  apply: async (records, args, context) => {
    const found = await findAmendable(records, args, context);
    if (!found.ok) return found;
    if (found.entry.content.kind !== 'labor') return refuse('entry_not_amendable', {}, 'entryId');
    const { personId, rate, stepId, tradeId } = found.entry.content;
    const { minutes, timeType } = args;
    const input = { personId, startedAt: parseInstant(args.startedAt), minutes, timeType, stepId, tradeId };
    const possible = checkLabor(input, context);
    if (!possible.ok) return possible;
    const content = await laborContent(records, found.work, input, rate);
    if (!content.ok) return content;
    await putAmendment(records, found, content.value, context);
    return accepted;
  },
});

export const laborOperations = {
  ...clockOperations,
  ...otherTimeOperations,
  'labor.add': addLabor,
  'labor.amend': amendLabor,
};
