import { chiSquareBelow, logGamma } from './distributions';

/**
 * The p-values of several tests at once, adjusted so that the chance of any false finding among them stays below the level
 * they are compared with (S. Holm, “A simple sequentially rejective multiple test procedure”, Scandinavian Journal of
 * Statistics 6, 1979). Holds whatever the tests have to do with one another.
 *
 * @param tests how many were made in all, when those that found nothing are left out of `ps`
 */
export function holm(ps: readonly number[], tests: number = ps.length): number[] {
  const rising = ps.map((p, index) => ({ p, index })).sort((a, b) => a.p - b.p);
  const adjusted = new Array<number>(ps.length).fill(1);
  let highest = 0;
  for (const [rank, { p, index }] of rising.entries()) {
    highest = Math.max(highest, Math.min(1, p * (tests - rank)));
    adjusted[index] = highest;
  }
  return adjusted;
}

/** How likely at least `least` of `count` come, each with the chance `share` (binomial distribution). */
export function atLeast(least: number, count: number, share: number): number {
  if (least <= 0 || share >= 1) return 1;
  if (share <= 0) return 0;
  let sum = 0;
  for (let k = least; k <= count; k += 1) {
    const ways = logGamma(count + 1) - logGamma(k + 1) - logGamma(count - k + 1);
    sum += Math.exp(ways + k * Math.log(share) + (count - k) * Math.log(1 - share));
  }
  return Math.min(1, sum);
}

/**
 * How likely gaps are at least as even as these when failures come by pure chance at one rate: small for what comes back
 * regularly. Bartlett's test of the exponential distribution against gammas of shape above 1, as P. A. P. Moran gives it
 * (“The random division of an interval, part II”, JRSS B 13, 1951): 2n(ln x̄ − mean ln x) / (1 + (n + 1) / 6n) is about χ²
 * with n − 1 degrees of freedom.
 */
export function evenByChance(gaps: readonly number[]): number {
  const count = gaps.length;
  if (count < 2 || gaps.some((gap) => gap <= 0)) return 1;
  const mean = gaps.reduce((sum, gap) => sum + gap, 0) / count;
  const meanLog = gaps.reduce((sum, gap) => sum + Math.log(gap), 0) / count;
  const statistic = (2 * count * (Math.log(mean) - meanLog)) / (1 + (count + 1) / (6 * count));
  return chiSquareBelow(statistic, count - 1);
}
