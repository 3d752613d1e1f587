import type { WorkOrderId } from '../../../kernel/ids';
import {
  argsSchema,
  choiceField,
  dayField,
  idField,
  LONGEST_LINE,
  optionalDayField,
  optionalInstantField,
  textField,
} from '../../../kernel/schema/fields';
import { parseInstant, type Instant } from '../../../kernel/time/instant';
import { beginOfDay, type LocalDay } from '../../../kernel/time/local-day';
import { hasRole } from '../../../operations/actor';
import {
  accepted,
  defineOperation,
  refuse,
  rowNamed,
  type OperationContext,
  type Outcome,
  type RowName,
} from '../../../operations/operation';
import type { Records } from '../../../records/records';
import { runningClocks } from '../../recording/labor/clock';
import { removePausedClocks, stopClock } from '../../recording/labor/stop-clock';
import { dueAgain } from '../plans/plan-work';
import { SETTINGS_ID, settingsAt } from '../../orders/settings/settings';
import { isTooFar } from '../../orders/work/furthest-day';
import { findOpenWork, newEntry } from '../../orders/work/guards';
import { urgencies, type WorkOrder } from '../../orders/work/work-order';
import type { ScheduleChange } from './schedule-entries';

const onWork = { workOrderId: idField<WorkOrderId>() };
const why = { reason: textField(LONGEST_LINE) };
const readsWork = ({ workOrderId }: { readonly workOrderId?: string }): (RowName | null)[] => [
  rowNamed('workOrders', workOrderId),
];

/** Keeps the work order as it is now, and says in its record what was changed and why. */
async function change(
  records: Records,
  work: WorkOrder,
  what: ScheduleChange,
  reason: string,
  context: OperationContext,
): Promise<void> {
  await records.put('workOrders', work);
  await records.put('entries', newEntry(work, { kind: 'schedule', change: what, reason }, context));
}

/** It must be answered sooner, or has time. */
const setUrgency = defineOperation({
  label: 'another urgency',
  inLog: 'forLeads',
  governs: 'nothing',
  roles: ['technician', 'lead'],
  schema: argsSchema({ ...onWork, urgency: choiceField(urgencies), ...why }),
  reads: readsWork,
  correct: { fields: { reason: 'line' }, keepsTime: true },
  apply: async (records, { workOrderId, urgency, reason }, context) => {
    const found = await findOpenWork(records, workOrderId, context);
    if (!found.ok) return found;
    const work = found.value;
    if (work.urgency === urgency) return refuse('schedule_unchanged', {}, 'urgency');
    const what = { of: 'urgency', from: work.urgency, to: urgency } as const;
    await change(records, { ...work, urgency }, what, reason, context);
    return accepted;
  },
});

/** Another time by which it is due, or none. */
const setDue = defineOperation({
  label: 'another due time',
  inLog: 'forLeads',
  governs: 'nothing',
  roles: ['technician', 'lead'],
  schema: argsSchema({ ...onWork, dueAt: optionalInstantField(), ...why }),
  reads: readsWork,
  correct: { fields: { reason: 'line' }, keepsTime: true },
  apply: async (records, { workOrderId, reason, ...args }, context) => {
    const found = await findOpenWork(records, workOrderId, context);
    if (!found.ok) return found;
    const work = found.value;
    const dueAt = args.dueAt === null ? null : parseInstant(args.dueAt);
    if (work.dueAt === dueAt) return refuse('schedule_unchanged', {}, 'dueAt');
    const near = await mayBeOn(records, work, dueAt, context);
    if (!near.ok) return { ...near, field: 'dueAt' };
    await change(records, { ...work, dueAt }, { of: 'due', from: work.dueAt, to: dueAt }, reason, context);
    return accepted;
  },
});

/** The day on which it is planned to be done, or none. */
const plan = defineOperation({
  label: 'the day it is planned for',
  inLog: 'forLeads',
  governs: 'nothing',
  roles: ['technician', 'lead'],
  schema: argsSchema({ ...onWork, day: optionalDayField() }),
  reads: readsWork,
  correct: { fields: {}, keepsTime: true },
  apply: async (records, { workOrderId, day }, context) => {
    const found = await findOpenWork(records, workOrderId, context);
    if (!found.ok) return found;
    const work = found.value;
    const from = work.plannedOn ?? null;
    if (from === day) return refuse('schedule_unchanged', {}, 'day');
    const near = await mayBeOn(records, work, day, context);
    if (!near.ok) return { ...near, field: 'day' };
    await change(records, { ...work, plannedOn: day }, { of: 'planned', from, to: day }, '', context);
    return accepted;
  },
});

/**
 * It leaves the lists until a day begins and comes back by itself. The person's own clock on it stops; how often it was put off
 * is counted. What is needed now is not put off.
 */
const putOff = defineOperation({
  label: 'putting it off',
  inLog: 'forLeads',
  governs: 'nothing',
  roles: ['technician', 'lead'],
  schema: argsSchema({ ...onWork, until: dayField(), ...why }),
  reads: ({ workOrderId }, by) => [rowNamed('workOrders', workOrderId), rowNamed('clocks', by)],
  correct: { fields: { reason: 'line' }, keepsTime: true },
  apply: async (records, { workOrderId, until, reason }, context) => {
    const found = await findOpenWork(records, workOrderId, context);
    if (!found.ok) return found;
    const work = found.value;
    if (work.urgency === 'now') return refuse('put_off_needed_now');
    const zone = await zoneOf(records, work);
    if (zone === null) return refuse('not_found', { what: 'settings record' });
    if (beginOfDay(until, zone) <= context.at) return refuse('put_off_to_the_past', {}, 'until');
    const near = await mayBeOn(records, work, until, context);
    if (!near.ok) return { ...near, field: 'until' };
    const clocks = runningClocks(await records.list('clocks', 'workOrder', workOrderId));
    if (clocks.some(({ id }) => id !== context.person.id)) return refuse('put_off_clock_runs');
    for (const clock of clocks) {
      const stopped = await stopClock(records, clock, context.at, context);
      if (!stopped.ok) return stopped;
    }
    await removePausedClocks(records, workOrderId);
    const times = (work.timesPutOff ?? 0) + 1;
    const putOffWork: WorkOrder = {
      ...work,
      putOff: { until, reason, by: context.person.id, at: context.at },
      timesPutOff: times,
    };
    await change(records, putOffWork, { of: 'putOff', until, times }, reason, context);
    return accepted;
  },
});

/** It is done after all before the day to which it was put off. */
const takeUp = defineOperation({
  label: 'taking it up again',
  inLog: 'forLeads',
  governs: 'nothing',
  roles: ['technician', 'lead'],
  schema: argsSchema(onWork),
  reads: readsWork,
  correct: { fields: {}, keepsTime: true },
  apply: async (records, { workOrderId }, context) => {
    const found = await findOpenWork(records, workOrderId, context);
    if (!found.ok) return found;
    const work = found.value;
    if (work.putOff === undefined || work.putOff === null) return refuse('not_put_off');
    const what = { of: 'takenUp', until: work.putOff.until } as const;
    await change(records, { ...work, putOff: null }, what, '', context);
    return accepted;
  },
});

/** Whether work may be moved so far: not beyond what anybody plans, and, by others than leads, not to where its plan makes it due again. */
async function mayBeOn(
  records: Records,
  work: WorkOrder,
  when: LocalDay | Instant | null,
  { at, person, nextOn }: OperationContext,
): Promise<Outcome> {
  if (when === null) return accepted;
  if (isTooFar(when, at)) return refuse('day_too_far');
  if (work.plan === undefined || hasRole(person, ['lead']) || nextOn === null) return accepted;
  const plan = await records.get('plans', work.plan.planId);
  const again = plan === undefined ? null : await dueAgain(records, plan, work.plan.dueOn, nextOn);
  return again !== null && when.slice(0, 10) >= again ? refuse('beyond_plan', { day: again }) : accepted;
}

async function zoneOf(records: Records, work: WorkOrder): Promise<string | null> {
  const settings = await records.get('settings', SETTINGS_ID);
  return settings === undefined ? null : settingsAt(settings, await records.get('sites', work.siteId)).zone;
}

export const scheduleOperations = {
  'work.set-urgency': setUrgency,
  'work.set-due': setDue,
  'work.plan': plan,
  'work.put-off': putOff,
  'work.take-up': takeUp,
};
