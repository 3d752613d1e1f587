import { toMillis, type Instant } from '../../../kernel/time/instant';
import { median, medianDeviation, TO_DEVIATION } from './middle';

const DAY = 24 * 60 * 60 * 1000;

/** A reading as the statistics see it: when, in days from the first, and what. */
export interface Taken {
  readonly day: number;
  readonly value: number;
}

/** Readings by days from the first of them, in the order of time. */
export function inDays(readings: readonly { readonly at: Instant; readonly value: number }[]): Taken[] {
  const taken = readings.map(({ at, value }) => ({ millis: toMillis(at), value })).sort((a, b) => a.millis - b.millis);
  const first = taken[0]?.millis ?? 0;
  return taken.map(({ millis, value }) => ({ day: (millis - first) / DAY, value }));
}

/** A straight line through readings that a few wild values do not bend. */
export interface Trend {
  /** By how much the value changes a day. */
  readonly perDay: number;
  /** What the change a day is likely to lie between; infinite where so few readings bound nothing. */
  readonly from: number;
  readonly to: number;
  /** What the line says at day 0. */
  readonly atStart: number;
  /** Whether the interval leaves out zero: it is changing. */
  readonly isChanging: boolean;
}

/** With fewer readings than this no interval can leave out zero. */
const LEAST_READINGS = 6;
/** More are brought together into so many medians of neighbours: every pair of them is compared. */
const MOST_READINGS = 800;

/**
 * The robust trend: the median of the slopes between all pairs (H. Theil, 1950; P. K. Sen, 1968), with the interval of the slope
 * by Kendall's statistic: its bounds are the M-th slope from either end (M. Hollander and D. Wolfe, Nonparametric Statistical Methods,
 * 9.3). Where a reading resembles the one before it, fewer of them tell anything of their own, and the interval is wider by that (K. Hamed
 * and A. Rao, 1998). Null where there are too few.
 *
 * @param z how many standard deviations the interval spans to each side: 1.96 for 95 in 100
 */
export function trendOf(readings: readonly Taken[], z: number): Trend | null {
  const taken = brought(readings);
  const slopes: number[] = [];
  for (let later = 1; later < taken.length; later += 1) {
    const b = taken[later];
    for (let earlier = 0; earlier < later && b !== undefined; earlier += 1) {
      const a = taken[earlier];
      if (a !== undefined && b.day > a.day) slopes.push((b.value - a.value) / (b.day - a.day));
    }
  }
  if (taken.length < LEAST_READINGS || slopes.length === 0) return null;
  const sorted = Float64Array.from(slopes).sort();
  const half = sorted.length >> 1;
  const upper = sorted[half] ?? 0;
  const perDay = sorted.length % 2 === 1 ? upper : ((sorted[half - 1] ?? 0) + upper) / 2;
  const n = taken.length;
  const left = taken.map(({ day, value }) => value - perDay * day);
  const variance = ((n * (n - 1) * (2 * n + 5)) / 18) * varianceFactor(Math.max(0, resemblance(left)), n);
  const fromEnd = Math.floor((sorted.length - z * Math.sqrt(variance)) / 2);
  const from = fromEnd < 1 ? -Infinity : (sorted[fromEnd - 1] ?? -Infinity);
  const to = fromEnd < 1 ? Infinity : (sorted[sorted.length - fromEnd] ?? Infinity);
  return { perDay, from, to, atStart: median(left), isChanging: from > 0 || to < 0 };
}

/** A value further from the middle than so many deviations counts as one just so far. */
const CLIPPED = 2.5;
const MOST_RESEMBLANCE = 0.95;

/**
 * How much each value resembles the one before it: the autocorrelation at lag one of what a line leaves, which a few wild values do not bend,
 * freed of what fitting the line takes from it (about (1 + 4 r) / n; M. Kendall, 1954).
 */
export function resemblance(left: readonly number[]): number {
  const n = left.length;
  const deviation = TO_DEVIATION * medianDeviation(left);
  if (n <= 5 || !(deviation > 0)) return 0;
  const middle = median(left);
  const clipped = left.map((value) => Math.max(-CLIPPED, Math.min(CLIPPED, (value - middle) / deviation)));
  const mean = clipped.reduce((sum, value) => sum + value, 0) / n;
  let [together, whole] = [0, 0];
  clipped.forEach((value, index) => {
    whole += (value - mean) ** 2;
    if (index > 0) together += (value - mean) * ((clipped[index - 1] ?? mean) - mean);
  });
  return whole === 0 ? 0 : Math.min(MOST_RESEMBLANCE, (n * (together / whole) + 2) / (n - 4));
}

/** By what the variance of a sum of n values is larger than if they were independent, where each resembles the one before it by r. */
export function varianceFactor(r: number, n: number): number {
  let factor = 1;
  for (let lag = 1; lag < n; lag += 1) factor += 2 * (1 - lag / n) * r ** lag;
  return factor;
}

/** Many readings as few: each the median of neighbours in time. */
export function brought(readings: readonly Taken[]): readonly Taken[] {
  if (readings.length <= MOST_READINGS) return readings;
  return Array.from({ length: MOST_READINGS }, (_, index) => {
    const from = Math.floor((index * readings.length) / MOST_READINGS);
    const some = readings.slice(from, Math.floor(((index + 1) * readings.length) / MOST_READINGS));
    return { day: median(some.map(({ day }) => day)), value: median(some.map(({ value }) => value)) };
  });
}
