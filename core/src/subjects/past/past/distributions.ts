/**
 * The few distributions that reliability needs. Accuracy is about 12 digits; the tests compare with tables and with a
 * general statistics library.
 */

// Lanczos approximation, g = 7, nine coefficients (W. H. Press et al., “Numerical Recipes”, section 6.1).
const LANCZOS: readonly [number, ...number[]] = [
  0.99999999999980993, 676.5203681218851, -1259.1392167224028, 771.32342877765313, -176.61502916214059,
  12.507343278686905, -0.13857109526572012, 9.9843695780195716e-6, 1.5056327351493116e-7,
];

/** Natural logarithm of the gamma function, for x above 0. */
export function logGamma(x: number): number {
  if (x < 0.5) return Math.log(Math.PI / Math.sin(Math.PI * x)) - logGamma(1 - x);
  const shifted = x - 1;
  const [first, ...rest] = LANCZOS;
  const series = rest.reduce((sum, coefficient, index) => sum + coefficient / (shifted + index + 1), first);
  const base = shifted + 7.5;
  return 0.5 * Math.log(2 * Math.PI) + (shifted + 0.5) * Math.log(base) - base + Math.log(series);
}

const PRECISION = 1e-15;
const LONGEST = 10_000;

/** Regularized lower incomplete gamma function P(a, x), for a above 0 and x from 0. */
function gammaP(a: number, x: number): number {
  if (x <= 0) return 0;
  const scale = Math.exp(a * Math.log(x) - x - logGamma(a));
  if (x < a + 1) {
    let term = 1 / a;
    let sum = term;
    for (let n = 1; n < LONGEST && Math.abs(term) > Math.abs(sum) * PRECISION; n += 1) {
      term *= x / (a + n);
      sum += term;
    }
    return sum * scale;
  }
  // Continued fraction of the upper function by Lentz's method.
  const tiny = 1e-300;
  let b = x + 1 - a;
  let c = 1 / tiny;
  let d = 1 / b;
  let fraction = d;
  for (let n = 1; n < LONGEST; n += 1) {
    const numerator = -n * (n - a);
    b += 2;
    d = 1 / nonZero(numerator * d + b, tiny);
    c = nonZero(b + numerator / c, tiny);
    const factor = d * c;
    fraction *= factor;
    if (Math.abs(factor - 1) < PRECISION) break;
  }
  return 1 - scale * fraction;
}

function nonZero(value: number, tiny: number): number {
  return Math.abs(value) < tiny ? tiny : value;
}

/** The share of a chi-square distribution below x. */
export function chiSquareBelow(x: number, degrees: number): number {
  return gammaP(degrees / 2, x / 2);
}

/** How thick a chi-square distribution is at x, the slope of `chiSquareBelow`. */
function chiSquareDensity(x: number, degrees: number): number {
  const half = degrees / 2;
  return Math.exp((half - 1) * Math.log(x / 2) - x / 2 - logGamma(half)) / 2;
}

/**
 * The value below which such a share of a chi-square distribution lies; share above 0 and below 1. Newton's method, and
 * halving where a step of it would lead out of the interval in which the value is known to lie.
 */
export function chiSquareQuantile(share: number, degrees: number): number {
  let low = 0;
  let high = Math.max(1, degrees);
  while (chiSquareBelow(high, degrees) < share) {
    low = high;
    high *= 2;
  }
  let x = (low + high) / 2;
  for (let step = 0; step < 200 && high - low > high * PRECISION; step += 1) {
    const above = chiSquareBelow(x, degrees) - share;
    if (above < 0) low = x;
    else high = x;
    const next = x - above / chiSquareDensity(x, degrees);
    // The next step would be about the square of this one, which is below the precision.
    if (Math.abs(next - x) <= x * 1e-9 && next > low && next < high) return next;
    x = next > low && next < high ? next : (low + high) / 2;
  }
  return x;
}

/** The share of the standard normal distribution below z. */
export function normalBelow(z: number): number {
  const half = gammaP(0.5, (z * z) / 2) / 2;
  return z < 0 ? 0.5 - half : 0.5 + half;
}
