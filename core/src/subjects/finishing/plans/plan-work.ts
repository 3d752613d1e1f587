import { asId, type PointId, type WorkOrderId } from '../../../kernel/ids';
import type { Instant } from '../../../kernel/time/instant';
import { localDate, timeOfDay, type LocalDay } from '../../../kernel/time/local-day';
import type { Zone } from '../../../kernel/time/zone';
import type { NextOn } from '../../../operations/operation';
import type { Records } from '../../../records/records';
import type { MeasuringPoint } from '../../plant/plant/plant';
import { SETTINGS_ID, settingsAt } from '../../orders/settings/settings';
import { stepsOf } from '../../steps/steps/new-step';
import { meterAt, usedAt } from '../../steps/readings/meter';
import type { FollowsWork } from '../../orders/work/follows-work';
import { putNewWork } from '../../orders/hazards/put-new-work';
import type { WorkOrder } from '../../orders/work/work-order';
import { nextDue, type NextDue } from './next-due';
import type { LastEnded, Plan } from './plan';

/** The work order of a plan's nth time: the same wherever it is made, so that it is there only once. */
export function workIdOf({ id }: Pick<Plan, 'id'>, occurrence: number): WorkOrderId {
  return asId<WorkOrderId>(`${id}-${occurrence}`);
}

/** Puts the next work order of a plan, with its steps, and notes that it is open. The plan has none open. */
export async function putPlannedWork(
  records: Records,
  plan: Plan,
  {
    dueOn,
    number,
    at,
    personIds,
  }: { readonly dueOn: LocalDay; readonly number: string; readonly at: Instant } & Pick<WorkOrder, 'personIds'>,
): Promise<WorkOrder | null> {
  const asset = await records.get('assets', plan.assetId);
  const zone = await zoneOf(records, plan);
  if (asset === undefined || zone === null) return null;
  const procedure = plan.procedureId === null ? undefined : await records.get('procedures', plan.procedureId);
  const occurrence = plan.made + 1;
  const id = workIdOf(plan, occurrence);
  const { siteId, kind, urgency, title, reason, tradeId, estimateMinutes, crewId } = plan;
  const work = await putNewWork(records, {
    id,
    number,
    siteId,
    assetId: asset.id,
    placeId: asset.placeId,
    kind,
    urgency,
    title,
    reason,
    tradeId,
    dueAt: timeOfDay(dueOn, plan.dueMinutes, zone),
    estimateMinutes,
    personIds,
    crewId,
    hazards: (procedure?.hazards ?? []).map((hazard, index) => ({ id: `${id}-h${index + 1}`, ...hazard })),
    kit: procedure?.kit ?? [],
    tools: procedure?.tools ?? [],
    createdAt: at,
    cameFrom: null,
    plan: { planId: plan.id, occurrence, dueOn },
    ...(procedure?.demands === undefined ? {} : { demands: procedure.demands }),
  });
  const made = { prefix: id, workOrderId: id, siteId, stopId: null, after: 0, added: null };
  for (const step of stepsOf(procedure?.steps ?? [], made)) await records.put('steps', step);
  await records.put('plans', { ...plan, made: occurrence, open: { workOrderId: id, dueOn } });
  return work;
}

/**
 * Its plan goes on from a work order that ended. One that is not the open one of its plan any more changes nothing: of two that were
 * open without knowing of each other, the newer one counts.
 */
async function ended(
  records: Records,
  work: Pick<WorkOrder, 'id' | 'plan'>,
  was: LastEnded['was'],
  at: Instant,
): Promise<void> {
  const plan = await planOf(records, work);
  if (plan === undefined || plan.open?.workOrderId !== work.id) return;
  const zone = await zoneOf(records, plan);
  if (zone === null) return;
  const points = await pointsOf(records, plan);
  const last = lastEnded(plan, work.plan?.dueOn ?? plan.open.dueOn, was, at, { zone, pointOf: (id) => points.get(id) });
  await records.put('plans', { ...plan, last, open: null });
}

/** The meters that make a plan due. */
export function metersOf({ triggers }: Pick<Plan, 'triggers'>): PointId[] {
  return triggers.flatMap((trigger) => (trigger.kind === 'meter' ? [trigger.pointId] : []));
}

/** What a plan goes on from when its work order that was due on a day ends at a moment. */
export function lastEnded(
  plan: Pick<Plan, 'triggers'>,
  dueOn: LocalDay,
  was: LastEnded['was'],
  at: Instant,
  { zone, pointOf }: { readonly zone: Zone; readonly pointOf: (id: string) => MeasuringPoint | undefined },
): LastEnded {
  const meters: Record<string, number> = {};
  const used: Record<string, number> = {};
  for (const id of metersOf(plan)) {
    const point = pointOf(id);
    const value = (point && meterAt(point.latest, at, point.rollsOverAt)) ?? point?.latest.at(-1)?.value;
    if (value !== undefined) meters[id] = value;
    const total = point === undefined ? null : usedAt(point.latest, at, point.rollsOverAt);
    if (total !== null) used[id] = total;
  }
  return { dueOn, endedOn: localDate(at, zone), at, was, meters, used };
}

/** Work that was handed back is the open one of its plan again, unless another has been made since. */
async function reopened(records: Records, work: Pick<WorkOrder, 'id' | 'plan'>): Promise<void> {
  const plan = await planOf(records, work);
  if (plan === undefined || work.plan === undefined || plan.open !== null) return;
  if (plan.made !== work.plan.occurrence) return;
  await records.put('plans', { ...plan, open: { workOrderId: work.id, dueOn: work.plan.dueOn } });
}

/** A plan goes on from when its work was done. */
export const planFollows: FollowsWork = { ended, reopened };

async function planOf(records: Records, work: Pick<WorkOrder, 'plan'>): Promise<Plan | undefined> {
  return work.plan === undefined ? undefined : records.get('plans', work.plan.planId);
}

/** When a plan is due next, by what its meters show; null where nothing makes it due. */
export async function dueOf(records: Pick<Records, 'get'>, plan: Plan, nextOn: NextOn): Promise<NextDue | null> {
  const zone = await zoneOf(records, plan);
  if (zone === null) return null;
  const points = await pointsOf(records, plan);
  return nextDue(plan, (id) => points.get(id), zone, nextOn);
}

/**
 * The day on which a plan would be due again after the work order that was due on a day, by the calendar alone; null where the calendar does not
 * say.
 */
export async function dueAgain(
  records: Pick<Records, 'get'>,
  plan: Plan,
  dueOn: LocalDay,
  nextOn: NextOn,
): Promise<LocalDay | null> {
  const zone = await zoneOf(records, plan);
  if (zone === null) return null;
  const at = timeOfDay(dueOn, plan.dueMinutes, zone);
  const last: LastEnded = { dueOn, endedOn: dueOn, at, was: 'done', meters: {} };
  const triggers = plan.triggers.filter(({ kind }) => kind !== 'meter');
  return nextDue({ ...plan, triggers, last }, () => undefined, zone, nextOn)?.on ?? null;
}

async function pointsOf(
  records: Pick<Records, 'get'>,
  plan: Pick<Plan, 'triggers'>,
): Promise<ReadonlyMap<string, MeasuringPoint | undefined>> {
  const points = new Map<string, MeasuringPoint | undefined>();
  for (const id of metersOf(plan)) points.set(id, await records.get('points', id));
  return points;
}

/** The zone of a plan's site; null where the settings are not there. */
export async function zoneOf(records: Pick<Records, 'get'>, { siteId }: Pick<Plan, 'siteId'>): Promise<Zone | null> {
  const settings = await records.get('settings', SETTINGS_ID);
  return settings === undefined ? null : settingsAt(settings, await records.get('sites', siteId)).zone;
}
