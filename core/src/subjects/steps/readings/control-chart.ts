import { median } from './middle';

/** Which rule a reading breaks: beyond three sigma, or the eighth in a row on one side of the middle. */
export type RuleBreak = 'beyond' | 'run';

/** A chart of individual values: what is usual, and which values are not. */
export interface ControlChart {
  readonly middle: number;
  readonly lower: number;
  readonly upper: number;
  /** Mean of how far each value of the stable stretch is from the one before it. */
  readonly movingRange: number;
  /** For every reading, in their order. */
  readonly breaks: readonly (RuleBreak | null)[];
}

/** The mean range of two normal values, in standard deviations (ISO 7870-2, table of d2 for n = 2). */
const D2 = 1.128;
/** So many in a row on one side are a run (common practice: Western Electric's eight). */
export const RUN = 8;
/** The stable stretch: so many first readings, which say what is usual. */
export const STRETCH = 20;
const LEAST_READINGS = 10;

/**
 * Shewhart's chart for individual values, its limits three sigma from the mean, sigma from the mean moving range
 * (NIST/SEMATECH e-Handbook 6.3.2.2). The limits are those of the first readings; null where there are too few for any.
 */
export function controlChart(values: readonly number[]): ControlChart | null {
  if (values.length < LEAST_READINGS) return null;
  const stable = values.slice(0, STRETCH);
  const middle = stable.reduce((sum, value) => sum + value, 0) / stable.length;
  const ranges = stable.slice(1).map((value, index) => Math.abs(value - (stable[index] ?? value)));
  const movingRange = ranges.reduce((sum, range) => sum + range, 0) / ranges.length;
  const reach = (3 * movingRange) / D2;
  const [lower, upper] = [middle - reach, middle + reach];
  // A gauge that reads in steps says the same again and again: a run lies on one side of the value in the middle, not of the mean.
  const centre = median(stable);
  let side = 0;
  let run = 0;
  const breaks = values.map((value): RuleBreak | null => {
    const now = Math.sign(value - centre);
    run = now !== 0 && now === side ? run + 1 : now === 0 ? 0 : 1;
    side = now;
    if (value < lower || value > upper) return 'beyond';
    return run >= RUN ? 'run' : null;
  });
  return { middle, lower, upper, movingRange, breaks };
}
