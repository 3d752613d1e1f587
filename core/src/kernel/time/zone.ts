import { DateTime } from 'luxon';
import { OilcanError } from '../errors/oilcan-error';
import { daySpanOf } from './day-spans';
import { instantFromMillis, toMillis, type Instant } from './instant';

const DAY_MILLISECONDS = 86_400_000;

/** An IANA time zone name, such as `Europe/Vienna`. */
export type Zone = string;

/** The instant as a wall-clock time of the zone. */
export function inZone(instant: Instant, zone: Zone): DateTime {
  const local = DateTime.fromMillis(toMillis(instant), { zone });
  if (!local.isValid) throw new OilcanError('zone_unknown', { zone });
  return local;
}

/** The first instant of the local day, so many days after the one in which `instant` lies. */
export function startOfDay(instant: Instant, zone: Zone, daysLater = 0): Instant {
  const { from } = daySpanOf(toMillis(instant), zone);
  return instantFromMillis(
    daysLater === 0 ? from : DateTime.fromMillis(from, { zone }).plus({ days: daysLater }).startOf('day').toMillis(),
  );
}

/** Whole local calendar days from one instant to another; negative when `to` lies on an earlier day. */
export function calendarDaysBetween(from: Instant, to: Instant, zone: Zone): number {
  const dayOf = (instant: Instant): number => Date.parse(daySpanOf(toMillis(instant), zone).day);
  return (dayOf(to) - dayOf(from)) / DAY_MILLISECONDS;
}

/**
 * The latest instant not after `notAfter` at which the zone's clock shows `HH:MM`.
 * In the hour that happens twice the later one is meant unless it lies after `notAfter`.
 * A time that the clock skips is moved on by as much as the clock was.
 */
export function latestWallTime(clockTime: string, notAfter: Instant, zone: Zone): Instant {
  const match = /^([01]?\d|2[0-3]):([0-5]\d)$/.exec(clockTime.trim());
  if (match === null) throw new OilcanError('time_unreadable', { text: clockTime });
  const limit = toMillis(notAfter);
  for (const daysBack of [0, 1, 2]) {
    const shown = inZone(notAfter, zone)
      .minus({ days: daysBack })
      .set({ hour: Number(match[1]), minute: Number(match[2]), second: 0, millisecond: 0 });
    const candidates = shown.getPossibleOffsets().map((each) => each.toMillis());
    const fitting = candidates.filter((each) => each <= limit);
    if (fitting.length > 0) return instantFromMillis(Math.max(...fitting));
  }
  throw new OilcanError('time_unreadable', { text: clockTime });
}
