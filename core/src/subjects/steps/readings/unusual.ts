import { median, medianDeviation } from './middle';

/** With fewer earlier values nobody knows what is usual. */
const LEAST_EARLIER = 4;

/**
 * Beyond so many median absolute deviations from the median a value is asked about. The usual 3.5 modified z-scores (B. Iglewicz and
 * D. Hoaglin, 1993; NIST/SEMATECH e-Handbook 1.3.5.17) are 5.2 deviations and meant for many values; with the five that a phone
 * carries of each point they would ask about one true value in nine. At 14 it is about one in fifty, shown by simulation in the test.
 */
const FAR = 14;

/**
 * Whether a value is so far off the earlier ones that it may have been mistyped. It is asked about, never refused.
 *
 * @param resolution the smallest step that the point is read in: values that are all alike still leave room for so much
 */
export function isUnusual(value: number, earlier: readonly number[], resolution: number): boolean {
  if (earlier.length < LEAST_EARLIER) return false;
  const spread = Math.max(medianDeviation(earlier), resolution);
  return Math.abs(value - median(earlier)) > FAR * spread;
}
