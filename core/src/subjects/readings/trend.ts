import { toMillis, type Instant } from '../../kernel/time/instant';
import { median } from './middle';

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
  /** What the change a day is likely to lie between. */
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
 * by Kendall's statistic (M. Hollander and D. Wolfe, Nonparametric Statistical Methods, 9.3). Null where there are too few.
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
  const spread = z * Math.sqrt((n * (n - 1) * (2 * n + 5)) / 18);
  const from = sorted[Math.max(0, Math.floor((sorted.length - spread) / 2))] ?? perDay;
  const to = sorted[Math.min(sorted.length - 1, Math.ceil((sorted.length + spread) / 2))] ?? perDay;
  return {
    perDay,
    from,
    to,
    atStart: median(taken.map(({ day, value }) => value - perDay * day)),
    isChanging: from > 0 || to < 0,
  };
}

/** Many readings as few: each the median of neighbours in time. */
function brought(readings: readonly Taken[]): readonly Taken[] {
  if (readings.length <= MOST_READINGS) return readings;
  return Array.from({ length: MOST_READINGS }, (_, index) => {
    const from = Math.floor((index * readings.length) / MOST_READINGS);
    const some = readings.slice(from, Math.floor(((index + 1) * readings.length) / MOST_READINGS));
    return { day: median(some.map(({ day }) => day)), value: median(some.map(({ value }) => value)) };
  });
}
