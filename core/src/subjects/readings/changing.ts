import type { Limits } from '../plant/plant';
import { controlChart, STRETCH } from './control-chart';
import { trendOf, type Taken, type Trend } from './trend';

/** When a value reaches a limit if it goes on as it does, in days from the newest reading. */
export interface Reaching {
  readonly limit: 'alert' | 'alarm';
  readonly value: number;
  readonly days: number;
  /** The soonest and the latest that is likely; `latest` is null where it may never be. */
  readonly soonest: number;
  readonly latest: number | null;
}

/** What there is to say of whether a measuring point is changing. */
export interface Change {
  /** It rises or falls, by so much a day. */
  readonly trend: Trend | null;
  /** The newest reading stands out from what was usual, or the newest eight lie on one side of it. */
  readonly broken: 'beyond' | 'run' | null;
  readonly reaching: readonly Reaching[];
}

/**
 * The shares of pure chance that each of the three ways to say something false may have; together at most 5 in 100, shown by
 * simulation in the test. The rules of the chart are only asked of the newest reading, and only once twice the stable stretch is there:
 * its limits are estimates, and asked of every reading they would be broken sooner or later.
 */
const TREND_Z = 2.33;

/** What can be said honestly: nothing of what pure chance would show as well. */
export function changeOf(readings: readonly Taken[], limits: Limits): Change {
  const trend = trendOf(readings, TREND_Z);
  const chart = readings.length < 2 * STRETCH ? null : controlChart(readings.map(({ value }) => value));
  const changing = trend?.isChanging === true ? trend : null;
  const newest = readings.at(-1);
  return {
    trend: changing,
    broken: chart?.breaks.at(-1) ?? null,
    reaching: changing === null || newest === undefined ? [] : reachingOf(changing, newest.day, limits),
  };
}

/**
 * When a trend that goes on reaches alert and alarm. Silent beyond the stretch of time that was looked at: nobody knows whether it
 * goes on that long.
 */
function reachingOf({ atStart, perDay, from, to }: Trend, day: number, limits: Limits): Reaching[] {
  const level = atStart + perDay * day;
  const isRising = perDay > 0;
  const [slowest, fastest] = isRising ? [from, to] : [to, from];
  const wanted = [
    ['alert', isRising ? limits.alertHigh : limits.alertLow],
    ['alarm', isRising ? limits.alarmHigh : limits.alarmLow],
  ] as const;
  return wanted.flatMap(([limit, value]): Reaching[] => {
    if (value === null) return [];
    const way = value - level;
    const days = way / perDay;
    if (days <= 0 || days > day) return [];
    const latest = way / slowest;
    return [
      { limit, value, days, soonest: way / fastest, latest: latest > 0 && Number.isFinite(latest) ? latest : null },
    ];
  });
}
