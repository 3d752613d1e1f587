import type { Asset, AssetCondition } from '../../plant/plant/plant';
import { calendarDaysBetween, startOfDay, type Zone } from '../../../kernel/time/zone';
import type { Instant } from '../../../kernel/time/instant';
import { addDays, localDate, type LocalDay } from '../../../kernel/time/local-day';
import { isPutOffOn } from '../schedule/schedule';
import { isOpen } from '../../orders/work/states';
import { doneAt, urgencies, type Urgency, type WorkOrder } from '../../orders/work/work-order';

/** When a work order is to be done, which is how the Shift list is grouped. */
export const shiftGroups = ['now', 'shift', 'week', 'later', 'putOff', 'done'] as const;
export type ShiftGroup = (typeof shiftGroups)[number];

const DAYS_AHEAD_IN_WEEK = 7;

/** Whether a work order is past its due time. Finished work is never late. */
export function isLate(work: Pick<WorkOrder, 'dueAt' | 'state'>, now: Instant): boolean {
  return isOpen(work.state) && work.dueAt !== null && work.dueAt < now;
}

/** The present and the local days around it, worked out once for a whole list. */
export interface ShiftTimes {
  readonly now: Instant;
  readonly today: LocalDay;
  readonly yesterdayBegan: Instant;
  readonly dayEnds: Instant;
  readonly weekEnds: Instant;
}

export function shiftTimes(now: Instant, zone: Zone): ShiftTimes {
  return {
    now,
    today: localDate(now, zone),
    yesterdayBegan: startOfDay(now, zone, -1),
    dayEnds: startOfDay(now, zone, 1),
    weekEnds: startOfDay(now, zone, DAYS_AHEAD_IN_WEEK),
  };
}

export function shiftGroupOf(work: WorkOrder, times: ShiftTimes): ShiftGroup {
  if (!isOpen(work.state)) return 'done';
  if (isPutOffOn(work, times.today)) return 'putOff';
  const due = work.dueAt;
  if (work.urgency === 'now') return 'now';
  if (work.urgency === 'shift') return 'shift';
  if ((due !== null && due < times.dayEnds) || isPlannedWithin(work, times.today, 1)) return 'shift';
  if (work.urgency === 'week' || (due !== null && due < times.weekEnds)) return 'week';
  if (isPlannedWithin(work, times.today, DAYS_AHEAD_IN_WEEK)) return 'week';
  return 'later';
}

function isPlannedWithin({ plannedOn }: WorkOrder, today: LocalDay, days: number): boolean {
  return plannedOn !== undefined && plannedOn !== null && plannedOn < addDays(today, days);
}

/** What the order of the list depends on. */
export interface Ranked {
  readonly work: WorkOrder;
  readonly asset: Pick<Asset, 'criticality' | 'condition'> | undefined;
}

const conditionRank: Readonly<Record<AssetCondition, number>> = { stopped: 0, reduced: 1, running: 2 };

/**
 * How soon work must be answered, 0 first. What is marked Now is always first, late or not: an emergency does not wait for
 * what is overdue. Being late lifts any other work by one urgency, and no further.
 */
function pressure(work: Pick<WorkOrder, 'urgency' | 'dueAt' | 'state'>, now: Instant): number {
  const place = urgencies.indexOf(work.urgency);
  return place === 0 ? 0 : place + (isLate(work, now) ? 0 : 1);
}

/**
 * What should be done first: what is needed now, then by urgency, to which being late adds one; whether the asset stands
 * still, its criticality, the due time (none is last), and the number so that the order never wavers.
 *
 * @returns below zero when `a` comes first
 */
export function compareForShift(a: Ranked, b: Ranked, now: Instant): number {
  return (
    pressure(a.work, now) - pressure(b.work, now) ||
    conditionRank[a.asset?.condition ?? 'running'] - conditionRank[b.asset?.condition ?? 'running'] ||
    (a.asset?.criticality ?? 4) - (b.asset?.criticality ?? 4) ||
    compareText(a.work.dueAt ?? '9', b.work.dueAt ?? '9') ||
    compareText(a.work.number, b.work.number)
  );
}

function compareText(a: string, b: string): number {
  return a < b ? -1 : a > b ? 1 : 0;
}

/** What puts a work order where it stands in the list, the weightiest first. */
export type RankReason =
  | { readonly is: 'late'; readonly days: number }
  | { readonly is: 'urgency'; readonly urgency: Urgency }
  | { readonly is: 'condition'; readonly condition: 'stopped' | 'reduced' }
  | { readonly is: 'criticality'; readonly criticality: 1 | 2 | 3 | 4 }
  | { readonly is: 'due'; readonly at: Instant }
  | { readonly is: 'ended' };

/** Why it stands there: the terms of `compareForShift` as they are for this work order, in their order. */
export function rankReasons({ work, asset }: Ranked, now: Instant, zone: Zone): RankReason[] {
  if (!isOpen(work.state)) return [{ is: 'ended' }];
  const reasons: RankReason[] = [{ is: 'urgency', urgency: work.urgency }];
  if (isLate(work, now) && work.dueAt !== null) {
    reasons.push({ is: 'late', days: calendarDaysBetween(work.dueAt, now, zone) });
  }
  if (asset !== undefined && asset.condition !== 'running')
    reasons.push({ is: 'condition', condition: asset.condition });
  if (asset !== undefined) reasons.push({ is: 'criticality', criticality: asset.criticality });
  if (work.dueAt !== null && !isLate(work, now)) reasons.push({ is: 'due', at: work.dueAt });
  return reasons;
}

/**
 * Ended work stays in the list until the end of the next shift: the local day after the one on which its end came to be
 * known, which may be long after it was done.
 */
export function isInSight(
  work: Pick<WorkOrder, 'finishedAt' | 'closedAt' | 'lastTransition'>,
  { yesterdayBegan }: ShiftTimes,
): boolean {
  const done = doneAt(work);
  if (done === null) return true;
  const known = work.lastTransition?.since ?? done;
  return (known > done ? known : done) >= yesterdayBegan;
}
