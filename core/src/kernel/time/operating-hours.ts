import type { DateTime } from 'luxon';
import { instantFromMillis, toMillis, type Instant } from './instant';
import { inZone, type Zone } from './zone';

/** A stretch of every week in which it runs. */
export interface WeeklyHours {
  /** ISO 8601: 1 is Monday, 7 is Sunday. */
  readonly weekday: number;
  /** By the clock on the wall, `08:30`. */
  readonly from: string;
  /** `24:00` is the end of the day; what ends before it begins goes on into the next day. */
  readonly to: string;
}

/** A stretch of time. */
export interface Span {
  readonly from: Instant;
  readonly to: Instant;
}

/**
 * The stretches of a window that lie within operating hours, the earliest first, each once: hours that meet or overlap are one
 * stretch. By the clock on the wall, so that the day on which the clock is set forward has an hour less.
 */
export function operatingSpans(hours: readonly WeeklyHours[], window: Span, zone: Zone): Span[] {
  const [start, end] = [toMillis(window.from), toMillis(window.to)];
  const spans: (readonly [from: number, to: number])[] = [];
  // Hours that go on past midnight may begin on the day before.
  const lastDay = inZone(window.to, zone).startOf('day');
  for (
    let day = inZone(window.from, zone).startOf('day').minus({ days: 1 });
    day <= lastDay;
    // Where the clock skips midnight, a day begins later; the next one does not.
    day = day.plus({ days: 1 }).startOf('day')
  ) {
    for (const { weekday, from, to } of hours) {
      if (weekday !== day.weekday) continue;
      const closesOn = day.plus({ days: to <= from ? 1 : 0 });
      const opens = Math.max(start, Math.min(...shownAt(from, day)));
      const closes = Math.min(end, Math.max(...shownAt(to, closesOn)));
      if (opens < closes) spans.push([opens, closes]);
    }
  }
  spans.sort(([a], [b]) => a - b);
  const joined: [number, number][] = [];
  for (const [from, to] of spans) {
    const last = joined.at(-1);
    if (last !== undefined && from <= last[1]) last[1] = Math.max(last[1], to);
    else joined.push([from, to]);
  }
  return joined.map(([from, to]) => ({ from: instantFromMillis(from), to: instantFromMillis(to) }));
}

/** When the clock on the wall shows this on a day: twice in the hour that comes twice; where it is skipped, when the clock jumps over it. */
function shownAt(clock: string, day: DateTime): number[] {
  const [hour = 0, minute = 0] = clock.split(':').map(Number);
  const shown = day.plus({ days: Math.floor(hour / 24) }).set({ hour: hour % 24, minute });
  if (shown.hour === hour % 24 && shown.minute === minute)
    return shown.getPossibleOffsets().map((each) => each.toMillis());
  let jump = shown;
  while (jump.minus({ minutes: 1 }).offset === shown.offset) jump = jump.minus({ minutes: 1 });
  return [jump.toMillis()];
}
