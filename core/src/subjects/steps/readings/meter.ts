import { addMinutes, minutesBetween, type Instant } from '../../../kernel/time/instant';
import type { MeasuringPoint, ReadingValue } from '../../plant/plant/plant';

declare module '../../plant/plant/plant' {
  interface MeasuringPoint {
    /** A meter begins anew at zero when it reaches this, such as 100,000 for five digits; absent where it never does. */
    readonly rollsOverAt?: number;
  }
  interface ReadingValue {
    /** What the meter that took its place showed at the same moment; absent where it was not replaced then. */
    readonly replacedAt?: number;
    /**
     * Of a meter: all that it has gone on by up to this value, over roll-overs and replacements, beginning with the first value that was kept
     * with it. It stays true when older readings are let go; absent in readings of before.
     */
    readonly used?: number;
  }
}

const DAY_MINUTES = 24 * 60;

/**
 * By how much a meter went on from one value to the next; null where it ran back. A value below the last one is a roll-over where the
 * way over the top is less than half of all that it can show: what is further has been mistyped.
 */
export function meterStep(from: number, to: number, rollsOverAt: number | undefined): number | null {
  if (to >= from) return to - from;
  if (rollsOverAt === undefined || from > rollsOverAt) return null;
  const over = to + rollsOverAt - from;
  return over * 2 < rollsOverAt ? over : null;
}

/** A meter's readings as one that never rolled over and was never replaced: what was used up to each, from the first. */
export function usedUpTo(readings: readonly ReadingValue[], rollsOverAt: number | undefined): readonly number[] {
  const used: number[] = [];
  let [sum, before] = [0, readings[0]?.value ?? 0];
  for (const { value, replacedAt } of readings) {
    // A step that cannot be is passed over: it counts from there on.
    sum += meterStep(before, value, rollsOverAt) ?? 0;
    used.push(sum);
    before = replacedAt ?? value;
  }
  return used;
}

/** Readings of a meter in the order of time, with what it has gone on by up to the one at an index and those after it. */
export function withUsed(
  readings: readonly ReadingValue[],
  index: number,
  rollsOverAt: number | undefined,
): readonly ReadingValue[] {
  const step = (from: ReadingValue, to: ReadingValue): number =>
    meterStep(from.replacedAt ?? from.value, to.value, rollsOverAt) ?? 0;
  const counted = [...readings];
  for (let at = index; at < counted.length; at += 1) {
    const [before, here, after] = [counted[at - 1], counted[at], counted[at + 1]];
    if (here === undefined) continue;
    // What came late and lies before all that is kept changes nothing of what is counted already.
    if (before === undefined && after?.used !== undefined) {
      counted[at] = { ...here, used: after.used - step(here, after) };
      break;
    }
    counted[at] = {
      ...here,
      used: before === undefined ? here.value : (before.used ?? before.value) + step(before, here),
    };
  }
  return counted;
}

/** What a meter had gone on by at a moment, as `meterAt` finds what it showed; null where that was not kept. */
export function usedAt(readings: readonly ReadingValue[], at: Instant, rollsOverAt?: number): number | null {
  const after = readings.find((reading) => reading.at >= at);
  const before = readings.filter((reading) => reading.at < at).at(-1);
  if (after?.at === at) return after.used ?? null;
  if (before?.used === undefined) return null;
  if (after === undefined) {
    const usage = usageOf(readings, rollsOverAt);
    return usage === null ? before.used : before.used + (usage.perDay * minutesBetween(before.at, at)) / DAY_MINUTES;
  }
  const minutes = minutesBetween(before.at, after.at);
  if (after.used === undefined || minutes <= 0) return null;
  return before.used + ((after.used - before.used) * minutesBetween(before.at, at)) / minutes;
}

/** What a meter goes on by in a day. */
export interface Usage {
  readonly perDay: number;
  /** The least and the most a day between any two readings that follow one another. */
  readonly least: number;
  readonly most: number;
}

/** Usage of a day between the first and the last reading; null for fewer than two, or none in time between them. */
export function usageOf(readings: readonly ReadingValue[], rollsOverAt: number | undefined): Usage | null {
  const used = usedUpTo(readings, rollsOverAt);
  const [first, last] = [readings[0], readings.at(-1)];
  if (first === undefined || last === undefined) return null;
  const days = minutesBetween(first.at, last.at) / DAY_MINUTES;
  if (days <= 0) return null;
  const rates = readings.slice(1).flatMap(({ at }, index) => {
    const stretch = minutesBetween(readings[index]?.at ?? at, at) / DAY_MINUTES;
    return stretch <= 0 ? [] : [((used[index + 1] ?? 0) - (used[index] ?? 0)) / stretch];
  });
  return { perDay: (used.at(-1) ?? 0) / days, least: Math.min(...rates), most: Math.max(...rates) };
}

/**
 * What a meter showed at a moment between two readings, evenly from one to the other; beyond the last by its usage. Null before the
 * first, and where nothing is known of its usage.
 */
export function meterAt(readings: readonly ReadingValue[], at: Instant, rollsOverAt?: number): number | null {
  const after = readings.findIndex((reading) => reading.at >= at);
  if (after === 0) return readings[0]?.at === at ? (readings[0]?.value ?? null) : null;
  const wrapped = (value: number): number => (rollsOverAt === undefined ? value : value % rollsOverAt);
  if (after < 0) {
    const [last, usage] = [readings.at(-1), usageOf(readings, rollsOverAt)];
    if (last === undefined || usage === null) return null;
    const days = minutesBetween(last.at, at) / DAY_MINUTES;
    return wrapped((last.replacedAt ?? last.value) + usage.perDay * days);
  }
  const [a, b] = [readings[after - 1], readings[after]];
  if (a === undefined || b === undefined) return null;
  const from = a.replacedAt ?? a.value;
  const step = meterStep(from, b.value, rollsOverAt);
  const minutes = minutesBetween(a.at, b.at);
  return step === null || minutes <= 0 ? null : wrapped(from + (step * minutesBetween(a.at, at)) / minutes);
}

/** When a meter will show a value, by its usage; null where it shows it already, or may never. */
export function meterReaches(point: Pick<MeasuringPoint, 'latest' | 'rollsOverAt'>, value: number): Instant | null {
  const [last, usage] = [point.latest.at(-1), usageOf(point.latest, point.rollsOverAt)];
  if (last === undefined || usage === null || usage.perDay <= 0) return null;
  const way = value - (last.replacedAt ?? last.value);
  return way <= 0 ? null : addMinutes(last.at, Math.round((way / usage.perDay) * DAY_MINUTES));
}
