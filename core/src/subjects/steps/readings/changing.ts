import type { Limits } from '../../plant/plant/plant';
import { STRETCH } from './control-chart';
import { reachingOf, type Reaching } from './reaching';
import { standsOut, type StandsOut } from './stands-out';
import { trendOf, type Taken, type Trend } from './trend';

/** What there is to say of whether a measuring point is changing. */
export interface Change {
  /** It rises or falls, by so much a day. */
  readonly trend: Trend | null;
  /** The newest two readings stand out from what was usual, or so many of the newest lie on one side of it that chance hardly does it. */
  readonly broken: StandsOut | null;
  readonly reaching: readonly Reaching[];
}

/**
 * How sure a trend is before it is told. Together with what stands out, pure chance says something in at most 5 of 100 series, and in at
 * most 7 where the gauge reads in coarse steps, some values are wild, or each resembles the one before it: by simulation in the test. What
 * stands out is only asked of the newest readings, and only once twice the stable stretch is there: what is usual is an estimate, and asked
 * of every reading it would be broken sooner or later.
 */
const TREND_Z = 2.1;

/** What can be said honestly: nothing of what pure chance would show as well. */
export function changeOf(readings: readonly Taken[], limits: Limits): Change {
  const trend = trendOf(readings, TREND_Z);
  const changing = trend?.isChanging === true ? trend : null;
  return {
    trend: changing,
    broken: readings.length < 2 * STRETCH ? null : standsOut(readings.map(({ value }) => value)),
    reaching: changing === null ? [] : reachingOf(readings, changing, limits),
  };
}
