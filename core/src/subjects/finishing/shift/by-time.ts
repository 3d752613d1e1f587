import type { Instant } from '../../../kernel/time/instant';
import { addDays, localDate, type LocalDay } from '../../../kernel/time/local-day';
import type { Zone } from '../../../kernel/time/zone';
import { isPutOff } from '../schedule/schedule';
import { isOpen } from '../../orders/work/states';
import type { WorkOrder } from '../../orders/work/work-order';
import { isLate } from './shift-order';

const DAYS_IN_WEEK = 7;

/** The days on which a work order is due or planned. */
function daysOf({ dueAt, plannedOn }: Pick<WorkOrder, 'dueAt' | 'plannedOn'>, zone: Zone): LocalDay[] {
  const due = dueAt === null ? [] : [localDate(dueAt, zone)];
  const planned = plannedOn === undefined || plannedOn === null ? [] : [plannedOn];
  return [...new Set([...planned, ...due])];
}

/** What a work order is by time: of these it may be several at once. A day is named as it is, `2026-11-23`. */
export type TimeMark = 'late' | 'today' | 'week' | 'putOff' | LocalDay;

/** Late, today, within seven days from today, put off, and each of its days. Work that ended is none of it. */
export function timeMarksOf(work: WorkOrder, now: Instant, zone: Zone): TimeMark[] {
  if (!isOpen(work.state)) return [];
  const today = localDate(now, zone);
  const weekEnds = addDays(today, DAYS_IN_WEEK);
  const days = daysOf(work, zone);
  const marks: TimeMark[] = [];
  if (isLate(work, now)) marks.push('late');
  if (days.includes(today)) marks.push('today');
  if (days.some((day) => day >= today && day < weekEnds)) marks.push('week');
  if (isPutOff(work, now, zone)) marks.push('putOff');
  return [...marks, ...days];
}

/** A day that comes, and what of some work is due or planned on it. */
export interface ComingDay {
  readonly day: LocalDay;
  readonly works: readonly WorkOrder[];
  readonly estimateMinutes: number;
}

/**
 * The next days and what is to be done on each, today first. Work that is planned for a day stands there; other work on the day it
 * is due. What is put off beyond its day stands on the day on which it comes back.
 */
export function comingDays(works: readonly WorkOrder[], now: Instant, zone: Zone, count = DAYS_IN_WEEK): ComingDay[] {
  const today = localDate(now, zone);
  const open = works.filter(({ state }) => isOpen(state)).map((work) => ({ work, day: dayToDo(work, zone) }));
  return Array.from({ length: count }, (_, index) => addDays(today, index)).map((day) => {
    const ofDay = open.filter((each) => each.day === day).map(({ work }) => work);
    return { day, works: ofDay, estimateMinutes: ofDay.reduce((sum, work) => sum + work.estimateMinutes, 0) };
  });
}

function dayToDo(work: WorkOrder, zone: Zone): LocalDay | null {
  const [day] = daysOf(work, zone);
  const until = work.putOff?.until;
  if (until !== undefined && (day === undefined || until > day)) return until;
  return day ?? null;
}
