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
