import { DateTime } from 'luxon';
import { instantFromMillis, type Instant } from './instant';
import { inZone, type Zone } from './zone';

declare const brand: unique symbol;

/** A day on the calendar of a place, `2026-11-23`. All have one length, so comparing the texts compares the days. */
export type LocalDay = string & { readonly [brand]: 'LocalDay' };

const FORM = /^(19|20|21)\d{2}-\d{2}-\d{2}$/;

export function isLocalDay(text: string): text is LocalDay {
  return FORM.test(text) && DateTime.fromISO(text, { zone: 'utc' }).isValid;
}

/** The day in which a moment lies. */
export function localDate(instant: Instant, zone: Zone): LocalDay {
  return inZone(instant, zone).toFormat('yyyy-MM-dd') as LocalDay;
}

/** The day so many days later, or earlier when negative. */
export function addDays(day: LocalDay, days: number): LocalDay {
  return DateTime.fromISO(day, { zone: 'utc' }).plus({ days }).toFormat('yyyy-MM-dd') as LocalDay;
}

/** When a day begins; where the clock skips midnight, when it jumps. */
export function beginOfDay(day: LocalDay, zone: Zone): Instant {
  return instantFromMillis(DateTime.fromISO(day, { zone }).startOf('day').toMillis());
}

/** How many days it is from one day to another; below zero where that lies before. */
export function daysBetween(from: LocalDay, to: LocalDay): number {
  const [begin, end] = [from, to].map((day) => DateTime.fromISO(day, { zone: 'utc' }).toMillis());
  return Math.round(((end ?? 0) - (begin ?? 0)) / 86_400_000);
}

/** The same day so many weeks, months or years later; where the month is too short for it, that month's last day. */
export function addCalendar(day: LocalDay, every: number, unit: CalendarUnit): LocalDay {
  return DateTime.fromISO(day, { zone: 'utc' })
    .plus({ [`${unit}s`]: every })
    .toFormat('yyyy-MM-dd') as LocalDay;
}

export const calendarUnits = ['day', 'week', 'month', 'year'] as const;
export type CalendarUnit = (typeof calendarUnits)[number];

/** When the clocks of a place show so many minutes after midnight; where they skip that, as many minutes after the skip. */
export function timeOfDay(day: LocalDay, minutes: number, zone: Zone): Instant {
  const shown = DateTime.fromISO(day, { zone }).set({ hour: Math.floor(minutes / 60), minute: minutes % 60 });
  return instantFromMillis(shown.toMillis());
}
