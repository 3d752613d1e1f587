import { DateTime } from 'luxon';
import { beginOfDay, calendarDaysBetween, inZone, type Instant, type LocalDay, type Zone } from '@oilcan/core/kernel';

/** A moment as a person says it: `14:20` today, `Tue 14:20` this week, `21 Oct` this year, `21 Oct 2025` before. */
export function sayMoment(instant: Instant, now: Instant, zone: Zone, language: string): string {
  const local = inZone(instant, zone).setLocale(language);
  const days = calendarDaysBetween(now, instant, zone);
  const time = local.toFormat('HH:mm');
  if (days === 0) return time;
  if (days === -1) return `yesterday ${time}`;
  if (days === 1) return `tomorrow ${time}`;
  if (Math.abs(days) < 7) return `${local.toFormat('ccc')} ${time}`;
  return local.toFormat(local.year === inZone(now, zone).year ? 'd LLL' : 'd LLL yyyy');
}

/** A day as a person says it: `today`, `yesterday`, `Tue 17 Nov`. */
export function sayDay(instant: Instant, now: Instant, zone: Zone, language: string): string {
  const days = calendarDaysBetween(now, instant, zone);
  if (days === 0) return 'today';
  if (days === -1) return 'yesterday';
  if (days === 1) return 'tomorrow';
  const local = inZone(instant, zone).setLocale(language);
  return local.toFormat(local.year === inZone(now, zone).year ? 'ccc d LLL' : 'ccc d LLL yyyy');
}

/** A day of the calendar as a person says it. */
export function sayLocalDay(day: LocalDay, now: Instant, zone: Zone, language: string): string {
  return sayDay(beginOfDay(day, zone), now, zone, language);
}

/** A calendar date in words: `12 May 2027`; what is no date stands as it was written. */
export function sayDate(date: string, language: string): string {
  const day = DateTime.fromISO(date, { locale: language });
  return day.isValid ? day.toFormat('d LLL yyyy') : date;
}

/** The moment in full, for whoever wants it exactly. */
export function sayExactly(instant: Instant, zone: Zone, language: string): string {
  return inZone(instant, zone).setLocale(language).toFormat('cccc d LLLL yyyy, HH:mm:ss ZZZZ');
}

/** When it is due: `today 16:00`, `Thu 16:00`, `2 h late`, `3 days late`. */
export function sayDue(due: Instant, now: Instant, zone: Zone, language: string): string {
  if (due >= now) {
    const days = calendarDaysBetween(now, due, zone);
    return days === 0 ? `today ${inZone(due, zone).toFormat('HH:mm')}` : sayMoment(due, now, zone, language);
  }
  const days = calendarDaysBetween(due, now, zone);
  if (days >= 1) return days === 1 ? '1 day late' : `${days} days late`;
  const minutes = Math.floor((Date.parse(now) - Date.parse(due)) / 60_000);
  return minutes < 60 ? `${Math.max(1, minutes)} min late` : `${Math.floor(minutes / 60)} h late`;
}

/**
 * From when to when: `14:20 to 15:50`, and on which days where those are not the day of another moment, such as when it was written:
 * `yesterday, 22:00 to 06:00`.
 */
export function sayStretch(
  from: Instant,
  to: Instant,
  at: Instant,
  now: Instant,
  { zone, language }: { readonly zone: Zone; readonly language: string },
): string {
  const clock = (instant: Instant): string => inZone(instant, zone).toFormat('HH:mm');
  const isSameDay = calendarDaysBetween(from, at, zone) === 0;
  return `${isSameDay ? '' : `${sayDay(from, now, zone, language)}, `}${clock(from)} to ${clock(to)}`;
}
