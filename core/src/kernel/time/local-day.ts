import { DateTime } from 'luxon';
import { daySpanOf } from './day-spans';
import { instantFromMillis, toMillis, type Instant } from './instant';
import type { Zone } from './zone';

declare const brand: unique symbol;

/** A day on the calendar of a place, `2026-11-23`. All have one length, so comparing the texts compares the days. */
export type LocalDay = string & { readonly [brand]: 'LocalDay' };

const DAY_MILLISECONDS = 86_400_000;
const FORM = /^(19|20|21)\d{2}-\d{2}-\d{2}$/;

export function isLocalDay(text: string): text is LocalDay {
  return FORM.test(text) && DateTime.fromISO(text, { zone: 'utc' }).isValid;
}

/** The day in which a moment lies. */
export function localDate(instant: Instant, zone: Zone): LocalDay {
  return daySpanOf(toMillis(instant), zone).day as LocalDay;
}

/** The day so many days later, or earlier when negative. */
export function addDays(day: LocalDay, days: number): LocalDay {
  return new Date(Date.parse(day) + days * DAY_MILLISECONDS).toISOString().slice(0, 10) as LocalDay;
}

/** When a day begins; where the clock skips midnight, when it jumps. */
export function beginOfDay(day: LocalDay, zone: Zone): Instant {
  return instantFromMillis(DateTime.fromISO(day, { zone }).startOf('day').toMillis());
}

/** The same day so many weeks, months or years later; where the month is too short for it, that month's last day. */
export function addCalendar(day: LocalDay, every: number, unit: CalendarUnit): LocalDay {
  return DateTime.fromISO(day, { zone: 'utc' })
    .plus({ [`${unit}s`]: every })
    .toISODate() as LocalDay;
}

export const calendarUnits = ['day', 'week', 'month', 'year'] as const;
export type CalendarUnit = (typeof calendarUnits)[number];

/** When the clocks of a place show so many minutes after midnight; where they skip that, as many minutes after the skip. */
export function timeOfDay(day: LocalDay, minutes: number, zone: Zone): Instant {
  const shown = DateTime.fromISO(day, { zone }).set({ hour: Math.floor(minutes / 60), minute: minutes % 60 });
  return instantFromMillis(shown.toMillis());
}
