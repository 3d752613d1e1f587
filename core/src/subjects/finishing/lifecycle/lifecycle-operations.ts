import type { WorkOrderId } from '../../../kernel/ids';
import { couldKnow, madeKnownBy } from '../../../operations/known';
import {
  argsSchema,
  choiceField,
  dayFieldIfAny,
  idField,
  LONGEST_LINE,
  LONGEST_TEXT,
  optionalTextField,
  textField,
  textFieldIfAny,
} from '../../../kernel/schema/fields';
import {
  accepted,
  defineOperation,
  refuse,
  type OperationContext,
  type Outcome,
  type Refusal,
} from '../../../operations/operation';
import type { Records } from '../../../records/records';
import { beginWork, readsToBegin } from '../../orders/hazards/begin-work';
import { isolationOf } from '../../orders/isolation/isolation';
import { runningClocks } from '../../recording/labor/clock';
import { removePausedClocks, stopClock } from '../../recording/labor/stop-clock';
import { SETTINGS_ID, settingsAt } from '../../orders/settings/settings';
import { entryBeside } from '../../orders/work/entry-ids';
import { currentOf } from '../../orders/work/entries';
import {
  changeState,
  findOwnWork,
  findWorkOfSite,
  mayChangeState,
  newEntry,
  reachedUnseen,
} from '../../orders/work/guards';
import { transitions } from '../../orders/work/states';
import { holdReasons, type WorkOrder } from '../../orders/work/work-order';
import { demandsOf } from './demands-of';
import { doneEarlier } from './done-earlier';
import { tellEnded, tellReopened } from './followers';
import { mustBeGiven, owedBefore, withoutTime } from './owed';
import { countOwed } from './owed-words';
import { recordedOn } from './recorded-on';

const onWork = { workOrderId: idField<WorkOrderId>() };

/** Takes up a ready work order without starting a clock. */
const startWork = defineOperation({
  label: 'starting',
  inLog: 'forLeads',
  governs: 'nothing',
  roles: transitions.start.roles,
  schema: argsSchema(onWork),
  reads: ({ workOrderId }, by) => readsToBegin(workOrderId, by),
  correct: { fields: {}, keepsTime: false },
  apply: async (records, args, context) => {
    const found = await findOwnWork(records, args.workOrderId, context);
    if (!found.ok) return found;
    if (reachedUnseen(found.value, 'start', context)) return accepted;
    const allowed = mayChangeState(found.value, 'start');
    if (!allowed.ok) return allowed;
    const begun = await beginWork(records, args.workOrderId, 'now', context);
    return begun.ok ? accepted : begun;
  },
});

/**
 * Work rests for a reason. The person's own clock on it stops and its time is recorded; what they say to whoever goes on is the
 * first that those see. Left for the next shift, it needs such a line.
 */
const holdWork = defineOperation({
  label: 'holding',
  inLog: 'forLeads',
  governs: 'nothing',
  roles: transitions.hold.roles,
  schema: argsSchema({
    ...onWork,
    reason: choiceField(holdReasons),
    note: optionalTextField(),
  }),
  reads: ({ workOrderId }, by) => readsToBegin(workOrderId, by),
  correct: { fields: { note: 'line' }, keepsTime: false },
  apply: async (records, args, context) => {
    const found = await findOwnWork(records, args.workOrderId, context);
    if (!found.ok) return found;
    const line = args.note.trim();
    if (args.reason === 'shift' && line === '') return refuse('hand_over_empty', {}, 'note');
    const handedOver = withHandOver(found.value, line, context);
    if (reachedUnseen(found.value, 'hold', context)) {
      await records.put('workOrders', handedOver);
      await noteBeside(records, found.value, 'left', line, context);
      return stopOwnClockOn(records, found.value, context);
    }
    const allowed = mayChangeState(found.value, 'hold');
    if (!allowed.ok) return allowed;
    const stopped = await stopOwnClockOn(records, found.value, context);
    if (!stopped.ok) return stopped;
    const held = { ...handedOver, held: { reason: args.reason, note: args.note } };
    await noteBeside(records, found.value, 'left', line, context);
    await changeState(records, held, 'hold', args.reason, context);
    return accepted;
  },
});

const resumeWork = defineOperation({
  label: 'resuming',
  inLog: 'forLeads',
  governs: 'nothing',
  roles: transitions.resume.roles,
  schema: argsSchema(onWork),
  reads: ({ workOrderId }, by) => readsToBegin(workOrderId, by),
  correct: { fields: {}, keepsTime: false },
  apply: async (records, args, context) => {
    const found = await findOwnWork(records, args.workOrderId, context);
    if (!found.ok) return found;
    if (reachedUnseen(found.value, 'resume', context)) return accepted;
    const allowed = mayChangeState(found.value, 'resume');
    if (!allowed.ok) return allowed;
    await changeState(records, found.value, 'resume', '', context);
    return accepted;
  },
});

/**
 * The work is done, with one line of what was done or none, which is kept as a note. Refused while something is owed, and when it
 * was handed back unseen; stops the person's own clock. When somebody else finished it unseen, that finish stands, and the line
 * is kept beside it. Whose time is missing then is told, and may still give it.
 */
const finishWork = defineOperation({
  label: 'finishing',
  inLog: 'forLeads',
  governs: 'nothing',
  roles: transitions.finish.roles,
  schema: argsSchema({ ...onWork, done: textFieldIfAny(LONGEST_TEXT), doneOn: dayFieldIfAny() }),
  reads: ({ workOrderId }, by) => readsToBegin(workOrderId, by),
  correct: { fields: {}, keepsTime: false },
  apply: async (records, args, context) => {
    const found = await findOwnWork(records, args.workOrderId, context);
    if (!found.ok) return found;
    const work = found.value;
    if (reachedUnseen(work, 'finish', context)) {
      await noteBeside(records, work, 'done', args.done ?? '', context);
      return stopOwnClockOn(records, work, context);
    }
    if (work.handedBack !== null && !couldKnow(work.handedBack, context)) {
      return refuse('handed_back_unseen', { number: work.number });
    }
    const allowed = mayChangeState(work, 'finish');
    if (!allowed.ok) return allowed;
    const settings = await records.get('settings', SETTINGS_ID);
    if (settings === undefined) return refuse('not_found', { what: 'settings record' });
    const { zone } = settingsAt(settings, await records.get('sites', work.siteId));
    const earlier = doneEarlier(args.doneOn, await records.list('entries', 'workOrder', work.id), zone, context.at);
    if (earlier === 'wrong') return refuse('done_day_wrong', {}, 'doneOn');
    const demands = demandsOf(settings, work);
    const owed = mustBeGiven(owedBefore(context.person.id, await recordedOn(records, work), demands));
    if (owed.length > 0) return refuse('not_finished_owed', countOwed(owed));
    const stopped = await stopOwnClockOn(records, work, context);
    if (!stopped.ok) return stopped;
    await removePausedClocks(records, work.id);
    await noteBeside(records, work, 'done', args.done ?? '', context);
    const missing = demands.time === 'not' ? [] : withoutTime(await recordedOn(records, work));
    const { timeOwedBy: _, handOver: __, doneEarlierAt: ___, ...rest } = work;
    const before = earlier === null ? rest : { ...rest, doneEarlierAt: earlier };
    await changeState(
      records,
      missing.length === 0 ? before : { ...before, timeOwedBy: missing },
      'finish',
      '',
      context,
    );
    await tellEnded(records, work, 'done', earlier ?? context.at);
    return accepted;
  },
});

/**
 * The lead takes finished work as it is; from then on it is locked. Refused while a clock runs or a lock is on, and to whoever
 * finished or worked on it where the site wants somebody else's look.
 */
const acceptWork = defineOperation({
  label: 'accepting',
  inLog: 'forLeads',
  governs: 'nothing',
  roles: transitions.accept.roles,
  schema: argsSchema(onWork),
  reads: ({ workOrderId }, by) => readsToBegin(workOrderId, by),
  correct: { fields: {}, keepsTime: false },
  apply: async (records, args, context) =>
    (await standInTheWay(records, args.workOrderId, 'not_accepted_owed', context)) ??
    (await isOwnAcceptance(records, args.workOrderId, context)) ??
    leadTransition(records, args.workOrderId, 'accept', '', context),
});

/** The lead sends finished work back, saying why. */
const handBackWork = defineOperation({
  label: 'handing back',
  inLog: 'forLeads',
  governs: 'nothing',
  roles: transitions.handBack.roles,
  schema: argsSchema({ ...onWork, reason: textField(LONGEST_LINE) }),
  reads: ({ workOrderId }, by) => readsToBegin(workOrderId, by),
  correct: { fields: { reason: 'line' }, keepsTime: false },
  apply: async (records, args, context) => {
    const outcome = await leadTransition(records, args.workOrderId, 'handBack', args.reason, context);
    const work = outcome.ok ? await records.get('workOrders', args.workOrderId) : undefined;
    if (work !== undefined) {
      const handedBack = { reason: args.reason, by: context.person.id, ...madeKnownBy(context) };
      const { timeOwedBy: _, ...again } = work;
      await records.put('workOrders', { ...again, handedBack });
      await tellReopened(records, work, context.at);
    }
    return outcome;
  },
});

/** The work will not be done. Refused while a clock runs or a lock is on. */
const dropWork = defineOperation({
  label: 'dropping',
  inLog: 'forLeads',
  governs: 'nothing',
  roles: transitions.drop.roles,
  schema: argsSchema({ ...onWork, reason: textField(LONGEST_LINE) }),
  reads: ({ workOrderId }, by) => readsToBegin(workOrderId, by),
  correct: { fields: { reason: 'line' }, keepsTime: false },
  apply: async (records, args, context) =>
    (await standInTheWay(records, args.workOrderId, 'not_dropped_owed', context)) ??
    leadTransition(records, args.workOrderId, 'drop', args.reason, context),
});

/** With what is said to whoever goes on; of two who left it without knowing of each other, the later one is seen first. */
function withHandOver(work: WorkOrder, line: string, { person, at, now }: OperationContext): WorkOrder {
  if (line === '' || (work.handOver !== undefined && work.handOver.at > at)) return work;
  return { ...work, handOver: { line, by: person.id, at, since: now } };
}

/** What somebody says as they finish or leave it, as a note of the record; nothing where there are no words. */
async function noteBeside(
  records: Records,
  work: WorkOrder,
  beside: 'done' | 'left',
  text: string,
  context: OperationContext,
): Promise<void> {
  if (text.trim() === '') return;
  const entry = newEntry(work, { kind: 'note', text: text.trim() }, context);
  await records.put('entries', { ...entry, id: entryBeside(entry.id, beside) });
}

/** Where others accept: that this is the person's own work. */
async function isOwnAcceptance(
  records: Records,
  workOrderId: WorkOrderId,
  { person }: OperationContext,
): Promise<Refusal | null> {
  const work = await records.get('workOrders', workOrderId);
  const site = work === undefined ? undefined : await records.get('sites', work.siteId);
  if (work === undefined || site?.othersAccept !== true) return null;
  const times = currentOf(await records.list('entries', 'workOrder', workOrderId), 'labor');
  const isOwn = work.finishedBy === person.id || times.some(({ content }) => content.personId === person.id);
  return isOwn ? refuse('own_work_not_accepted', { number: work.number }) : null;
}

/** Running clocks and locks that are on, without which nothing is accepted or dropped. */
async function standInTheWay(
  records: Records,
  workOrderId: WorkOrderId,
  code: 'not_accepted_owed' | 'not_dropped_owed',
  context: OperationContext,
): Promise<Refusal | null> {
  const found = await findWorkOfSite(records, workOrderId, context);
  if (!found.ok) return found;
  const clocks = runningClocks(await records.list('clocks', 'workOrder', workOrderId)).length;
  const entries = await records.list('entries', 'workOrder', workOrderId);
  const locks = isolationOf(found.value.isolation, entries).points.reduce((sum, point) => sum + point.locks.length, 0);
  return clocks + locks === 0 ? null : refuse(code, { clockOfAnother: clocks, lock: locks });
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
  if (transition !== 'handBack' && reachedUnseen(found.value, transition, context)) return accepted;
  const allowed = mayChangeState(found.value, transition);
  if (!allowed.ok) return allowed;
  if (transition === 'drop') await removePausedClocks(records, workOrderId);
  await changeState(records, found.value, transition, reason, context);
  if (transition === 'drop') await tellEnded(records, found.value, 'dropped', context.at);
  return accepted;
}

async function stopOwnClockOn(records: Records, work: WorkOrder, context: OperationContext): Promise<Outcome> {
  const clock = await records.get('clocks', context.person.id);
  if (clock === undefined || clock.workOrderId !== work.id) return accepted;
  return stopClock(records, clock, context.at, context);
}

export const lifecycleOperations = {
  'work.start': startWork,
  'work.hold': holdWork,
  'work.resume': resumeWork,
  'work.finish': finishWork,
  'work.accept': acceptWork,
  'work.hand-back': handBackWork,
  'work.drop': dropWork,
};
