const FIRST_MILLISECONDS = 2_000;
const LONGEST_MILLISECONDS = 300_000;

/**
 * How long to wait before the next try, in milliseconds: doubled with every failure up to five minutes, and spread by
 * chance over its second half, so that the phones of a plant do not all come back in the same moment.
 *
 * @param failures tries in a row that failed, at least 1
 * @param chance from 0 up to but not including 1
 */
export function retryDelay(failures: number, chance: number): number {
  const longest = Math.min(LONGEST_MILLISECONDS, FIRST_MILLISECONDS * 2 ** (failures - 1));
  return Math.round(longest / 2 + (longest / 2) * chance);
}
