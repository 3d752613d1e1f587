import { chiSquareBelow, chiSquareQuantile, normalBelow } from './distributions';

/** Below so many failures nothing is said about whether they come faster or slower. */
const FEWEST_FOR_A_TREND = 5;
const CONFIDENCE = 0.9;

/** A trend is told where chance shows one so strong at most so often: nearly half of what a whole past may say falsely. */
const LIKELY = 0.022;
const CLEARLY = 0.005;
/** What the second test must show at least. */
const LEANING = 0.1;

/** Failures within a time that was watched: the moments in one unit, counted from its beginning, in rising order. */
export interface Watched {
  /** Each above 0 and at most `length`. */
  readonly failures: readonly number[];
  readonly length: number;
}

export interface MeanBetween {
  readonly mean: number;
  /** The mean lies between these with a confidence of 90 %; `high` is infinite when nothing failed. */
  readonly low: number;
  readonly high: number;
}

/**
 * Mean time between failures of a time-truncated observation, with its two-sided interval from 2T/χ²
 * (MIL-HDBK-189; NIST/SEMATECH e-Handbook 8.4.5.1). Null when nothing failed and nothing was watched.
 */
export function meanBetween({ failures, length }: Watched): MeanBetween | null {
  const count = failures.length;
  if (length <= 0) return null;
  const tail = (1 - CONFIDENCE) / 2;
  return {
    mean: count === 0 ? Number.POSITIVE_INFINITY : length / count,
    low: (2 * length) / chiSquareQuantile(1 - tail, 2 * count + 2),
    high: count === 0 ? Number.POSITIVE_INFINITY : (2 * length) / chiSquareQuantile(tail, 2 * count),
  };
}

/**
 * Laplace trend test for a time-truncated observation: U = (mean of the times − T/2) / (T·√(1/(12N))), standard normal
 * when failures come by chance at one rate; above 0 when they crowd towards the end.
 */
export function laplace({ failures, length }: Watched): { readonly u: number; readonly p: number } {
  const count = failures.length;
  const mean = failures.reduce((sum, time) => sum + time, 0) / count;
  const u = (mean - length / 2) / (length * Math.sqrt(1 / (12 * count)));
  return { u, p: 2 * (1 - normalBelow(Math.abs(u))) };
}

/**
 * Power-law process N(t) = (t/θ)^β, time-truncated (MIL-HDBK-189): β̂ = N / Σ ln(T/tᵢ), above 1 when failures come
 * faster and faster. `p` is of the hypothesis that β is 1, from 2N/β̂, which then is χ² with 2N degrees of freedom.
 */
export function powerLaw({ failures, length }: Watched): {
  readonly beta: number;
  readonly theta: number;
  readonly p: number;
} {
  const count = failures.length;
  const sum = failures.reduce((total, time) => total + Math.log(length / time), 0);
  const beta = count / sum;
  const theta = length / count ** (1 / beta);
  const below = chiSquareBelow(2 * sum, 2 * count);
  return { beta, theta, p: 2 * Math.min(below, 1 - below) };
}

export type Trend =
  | { readonly is: 'too few'; readonly count: number }
  | { readonly is: 'steady'; readonly p: number }
  | {
      readonly is: 'faster' | 'slower';
      readonly p: number;
      readonly beta: number;
      readonly sure: 'likely' | 'clearly';
    };

/**
 * Whether failures come faster, slower or neither, by the test of the power law; Laplace's has to lean the same way, so that
 * a single odd failure, which weighs much in a logarithm, does not make a trend.
 */
export function trendOf(watched: Watched): Trend {
  const count = watched.failures.length;
  if (count < FEWEST_FOR_A_TREND || watched.length <= 0) return { is: 'too few', count };
  // All at the very end have no logarithm to speak of; they crowd towards the end all the same.
  const { u, p: ofLaplace } = laplace(watched);
  const { beta, p: ofPowerLaw } = powerLaw(watched);
  const p = ofPowerLaw;
  const agree = u > 0 === beta > 1 && ofLaplace < LEANING;
  const sure = p < CLEARLY ? 'clearly' : p < LIKELY ? 'likely' : null;
  if (!agree || sure === null || Number.isNaN(p)) return { is: 'steady', p };
  return { is: u > 0 ? 'faster' : 'slower', p, beta, sure };
}

/** The value below which such a share of the values lies, between neighbours by their distance; null for none. */
export function quantile(values: readonly number[], share: number): number | null {
  if (values.length === 0) return null;
  const sorted = [...values].sort((a, b) => a - b);
  const place = (sorted.length - 1) * share;
  const below = sorted[Math.floor(place)] ?? 0;
  const above = sorted[Math.ceil(place)] ?? below;
  return below + (above - below) * (place - Math.floor(place));
}
