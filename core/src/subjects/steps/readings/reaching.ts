import type { Limits } from '../../plant/plant/plant';
import { hodgesLehmann, medianDeviation, TO_DEVIATION } from './middle';
import { brought, resemblance, varianceFactor, type Taken, type Trend } from './trend';

/** When a value reaches a limit if it goes on as it does, in days from the newest reading. */
export interface Reaching {
  readonly limit: 'alert' | 'alarm';
  readonly value: number;
  /** Zero where it may stand there already. */
  readonly days: number;
  /** Nine times of ten it is between these. */
  readonly soonest: number;
  readonly latest: number;
}

/** The quantile 0.95 of the normal distribution, for an interval of 90 in 100. */
const Z_95 = 1.6449;
/** How much of its readings' information a median of pairs uses where noise is normal: 3/π (E. Lehmann, Nonparametrics, 1975). */
const EFFICIENCY = 3 / Math.PI;
/** A line whose slope is not sure by so many standard errors says nothing of when: it was noticed because it looked steep. */
const SURE = 3.5;
/** By how much the plain deviation may be above the robust one: heavier noise than normal widens, and a few wild values do not. */
const MOST_HEAVIER = 1.2;
/** Negative resemblance narrows no interval by more. */
const LEAST_RESEMBLANCE = -0.5;

/**
 * When a trend that goes on reaches alert and alarm, with its interval: where the line crosses the limit by what is known of its slope and
 * of its level (E. Fieller, 1954), so that the interval does not shrink to nothing close to the limit. Nine in ten hold the truth, by
 * simulation in the test, whatever the noise is. Silent beyond the stretch of time that was looked at, and once it is reached for sure.
 */
export function reachingOf(readings: readonly Taken[], { perDay }: Trend, limits: Limits): Reaching[] {
  const line = lineThrough(brought(readings), perDay);
  const newest = readings.at(-1);
  if (line === null || newest === undefined) return [];
  const isRising = perDay > 0;
  const wanted = [
    ['alert', isRising ? limits.alertHigh : limits.alertLow],
    ['alarm', isRising ? limits.alarmHigh : limits.alarmLow],
  ] as const;
  const present = newest.day - line.middleDay;
  const stretch = newest.day - (readings[0]?.day ?? 0);
  return wanted.flatMap(([limit, value]): Reaching[] => {
    if (value === null) return [];
    const crossing = crossingOf(line, value);
    if (crossing === null) return [];
    const [days, soonest, latest] = [crossing.at, crossing.from, crossing.to].map((each) => each - present) as [
      number,
      number,
      number,
    ];
    if (latest <= 0 || days > stretch) return [];
    return [{ limit, value, days: Math.max(0, days), soonest: Math.max(0, soonest), latest }];
  });
}

/** A line, and how sure it is. */
interface Line {
  readonly perDay: number;
  readonly middleDay: number;
  /** What it says in the middle of its days. */
  readonly level: number;
  readonly levelVariance: number;
  readonly slopeVariance: number;
  readonly t: number;
}

/** Null where its slope is not sure enough. */
function lineThrough(taken: readonly Taken[], perDay: number): Line | null {
  const n = taken.length;
  const middleDay = taken.reduce((sum, { day }) => sum + day, 0) / n;
  const spread = taken.reduce((sum, { day }) => sum + (day - middleDay) ** 2, 0);
  const left = taken.map(({ day, value }) => value - perDay * (day - middleDay));
  const level = hodgesLehmann(left);
  const freedom = n / (n - 2);
  const robust = TO_DEVIATION * medianDeviation(left) * Math.sqrt(freedom);
  const plain = Math.sqrt(left.reduce((sum, each) => sum + (each - level) ** 2, 0) / (n - 2));
  const deviation = Math.max(robust, Math.min(plain, MOST_HEAVIER * robust));
  const r = Math.max(LEAST_RESEMBLANCE, resemblance(left));
  const variance = (deviation ** 2 * varianceFactor(r, n)) / EFFICIENCY;
  const slopeVariance = variance / spread;
  if (Math.abs(perDay) < SURE * Math.sqrt(slopeVariance)) return null;
  return { perDay, middleDay, level, levelVariance: variance / n, slopeVariance, t: t95(n - 2) };
}

/** The quantile 0.95 of Student's t (Cornish and Fisher; Abramowitz and Stegun 26.7.5), for 4 degrees of freedom and more. */
function t95(freedom: number): number {
  const z = Z_95;
  return z + (z ** 3 + z) / (4 * freedom) + (5 * z ** 5 + 16 * z ** 3 + 3 * z) / (96 * freedom ** 2);
}

/** Where a line crosses a value, in days from its middle, with the interval; null where it may never. */
function crossingOf(
  { perDay, level, levelVariance, slopeVariance, t }: Line,
  value: number,
): { readonly at: number; readonly from: number; readonly to: number } | null {
  const way = value - level;
  // (way − slope · x)² ≤ t² (variance of the level + x² · variance of the slope)
  const a = perDay ** 2 - t ** 2 * slopeVariance;
  const b = -2 * perDay * way;
  const c = way ** 2 - t ** 2 * levelVariance;
  const root = b ** 2 - 4 * a * c;
  if (a <= 0 || root < 0) return null;
  const reach = Math.sqrt(root);
  return { at: way / perDay, from: (-b - reach) / (2 * a), to: (-b + reach) / (2 * a) };
}
