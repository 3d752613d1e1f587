import {
  addDays,
  addMinutes,
  beginOfDay,
  clockText,
  inZone,
  instantFromMillis,
  isLocalDay,
  latestTyped,
  localDate,
  minutesBetween,
  parseDuration,
  readClockTime,
  readMoment,
  type Instant,
  type LocalDay,
} from '@oilcan/core/kernel';
import { durationProblem, notYetQuestion, TIME_HINT } from '../../../forms/typed-words';

/** A time as it is typed. */
export interface TypedTime {
  readonly duration: string;
  readonly start: string;
  readonly end: string;
  /** The day on which it began, `2026-11-23`; empty for the latest that it can have been. */
  readonly day: string;
}

export const noTime: TypedTime = { duration: '', start: '', end: '', day: '' };

export type ReadTime =
  | { readonly ok: true; readonly startedAt: Instant; readonly minutes: number }
  | {
      readonly ok: false;
      readonly field: keyof TypedTime;
      readonly sentence: string;
      /** The day on which it would have been, where what was typed has not come yet today. */
      readonly onDay?: LocalDay;
    };

const unreadableTime = (field: 'start' | 'end'): ReadTime => ({
  ok: false,
  field,
  sentence: TIME_HINT,
});

/**
 * Any two of duration, start and end give the third; duration alone ends now. Start and end together decide over
 * the duration, because they say more. What ends earlier on the clock than it began went over midnight.
 */
export function readTime(given: TypedTime, present: Instant, zone: string): ReadTime {
  const typed = withDaySaid(given, present, zone);
  const minutes = typed.duration.trim() === '' ? null : (parseDuration(typed.duration) ?? 'unreadable');
  if (minutes === 'unreadable') return { ok: false, field: 'duration', sentence: durationProblem(typed.duration) };
  const dayEnds = typed.day === '' ? null : endOf(typed.day, zone);
  if (dayEnds === 'unreadable') return { ok: false, field: 'day', sentence: 'Choose the day.' };
  if (dayEnds !== null && typed.start.trim() !== '') return readFromDay(typed, minutes, dayEnds, zone);
  const notYet = dayEnds === null ? notYetOf(typed, present, zone) : null;
  if (notYet !== null) return notYet;
  const latest = dayEnds !== null && dayEnds < present ? dayEnds : present;
  const end = wallTime(typed.end, latest, zone);
  if (end === 'unreadable') return unreadableTime('end');
  const start = wallTime(typed.start, end ?? present, zone);
  if (start === 'unreadable') return unreadableTime('start');
  if (start !== null && (end !== null || minutes === null)) {
    return { ok: true, startedAt: start, minutes: minutesBetween(start, end ?? present) };
  }
  if (minutes === null) return { ok: false, field: 'duration', sentence: 'Say how long, or from when to when.' };
  if (dayEnds !== null && end === null && start === null && latest !== present)
    return { ok: false, field: 'start', sentence: 'Say from when on that day.' };
  return { ok: true, startedAt: start ?? addMinutes(end ?? present, -minutes), minutes };
}

/** From a time on a day that was chosen: the end is the first such time after it. */
function readFromDay(typed: TypedTime, minutes: number | null, dayEnds: Instant, zone: string): ReadTime {
  const start = wallTime(typed.start, addMinutes(dayEnds, -1), zone);
  if (start === 'unreadable' || start === null) return unreadableTime('start');
  const end = typed.end.trim() === '' ? null : wallTime(typed.end, sameTimeNextDay(start, zone), zone);
  if (end === 'unreadable') return unreadableTime('end');
  if (end !== null) return { ok: true, startedAt: start, minutes: minutesBetween(start, end) };
  if (minutes === null) return { ok: false, field: 'duration', sentence: 'Say how long, or from when to when.' };
  return { ok: true, startedAt: start, minutes };
}

/** A day later by the clock on the wall: 23 or 25 hours where the clocks are changed meanwhile. */
function sameTimeNextDay(start: Instant, zone: string): Instant {
  return instantFromMillis(inZone(start, zone).plus({ days: 1 }).toMillis());
}

/** The end of a local day; `unreadable` for what is none. */
function endOf(day: string, zone: string): Instant | 'unreadable' {
  return isLocalDay(day) ? beginOfDay(addDays(day, 1), zone) : 'unreadable';
}

/** “Yesterday 14:20” says the day, too. */
function withDaySaid(typed: TypedTime, present: Instant, zone: string): TypedTime {
  const isYesterday = [typed.start, typed.end].some((text) => readClockTime(text)?.daysAgo === 1);
  if (typed.day !== '' || !isYesterday) return typed;
  const clockOf = (text: string): string => {
    const read = readClockTime(text);
    return read === null ? text : clockText(read);
  };
  const day = addDays(localDate(present, zone), -1);
  return { ...typed, start: clockOf(typed.start), end: clockOf(typed.end), day };
}

/** Where the time at which it ended, or began until now, has not come yet today: that is asked about, and not taken for yesterday. */
function notYetOf({ start, end }: TypedTime, present: Instant, zone: string): ReadTime | null {
  const field = end.trim() === '' ? 'start' : 'end';
  const read = readMoment(field === 'end' ? end : start, present, zone);
  if (read.is !== 'notYet') return null;
  const began = field === 'end' && start.trim() !== '' ? latestTyped(start, read.yesterday, zone) : read.yesterday;
  const onDay = localDate(began ?? read.yesterday, zone);
  return { ok: false, field, sentence: notYetQuestion(read.clock), onDay };
}

/** The latest moment not after another at which the clock on the wall showed this; null for nothing typed. */
function wallTime(text: string, notAfter: Instant, zone: string): Instant | 'unreadable' | null {
  return text.trim() === '' ? null : (latestTyped(text, notAfter, zone) ?? 'unreadable');
}

/** What is typed so that it says this stretch; in the hour that comes twice, by how long it is. */
export function typedTime(from: Instant, to: Instant, zone: string): TypedTime {
  return {
    duration: '',
    start: inZone(from, zone).toFormat('HH:mm'),
    end: inZone(to, zone).toFormat('HH:mm'),
    day: localDate(from, zone),
  };
}
