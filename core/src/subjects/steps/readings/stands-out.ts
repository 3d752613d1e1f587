import { RUN, STRETCH } from './control-chart';
import { median, medianDeviation, TO_DEVIATION } from './middle';
import { resemblance } from './trend';

/** How the newest readings stand out: the last two far beyond what was usual, or the last of a run on one side of the middle. */
export type StandsOut = 'beyond' | 'run';

/** The mean range of two normal values, in standard deviations (ISO 7870-2, table of d2 for n = 2). */
const D2 = 1.128;
/** Beyond so many deviations. */
const FAR = 3;

/**
 * Whether the newest readings stand out from the first ones. The middle is a median, and a value just there is on neither side: a gauge that
 * reads in steps says the same value again and again. One wild value is asked about when it is typed, and says nothing here; two of them
 * do. Where each value resembles the one before it, runs are longer by themselves, and must be longer to tell anything.
 */
export function standsOut(values: readonly number[]): StandsOut | null {
  const stable = values.slice(0, STRETCH);
  const middle = median(stable);
  const ranges = stable.slice(1).map((value, index) => Math.abs(value - (stable[index] ?? value)));
  const byRanges = ranges.reduce((sum, range) => sum + range, 0) / ranges.length / D2;
  const deviation = Math.max(byRanges, TO_DEVIATION * medianDeviation(stable));
  const [before, newest] = values.slice(-2).map((value) => value - middle);
  if (before === undefined || newest === undefined || deviation === 0) return null;
  const isBeyond = Math.min(Math.abs(before), Math.abs(newest)) > FAR * deviation && before * newest > 0;
  if (isBeyond) return 'beyond';
  const r = Math.max(0, resemblance(values));
  return runAtEnd(values, middle) >= Math.ceil((RUN * (1 + r)) / (1 - r)) ? 'run' : null;
}

/** How many of the newest lie on one side of the middle. */
function runAtEnd(values: readonly number[], middle: number): number {
  const side = Math.sign((values.at(-1) ?? middle) - middle);
  if (side === 0) return 0;
  const other = values.findLastIndex((value) => Math.sign(value - middle) !== side);
  return values.length - 1 - other;
}
