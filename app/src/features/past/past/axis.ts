/** An axis with round figures: where it begins, what stands between two of its lines, and how many such steps it has. */
export interface Axis {
  readonly from: number;
  readonly step: number;
  readonly steps: number;
  /** Decimals that its figures need. */
  readonly decimals: number;
}

const MOST_STEPS = 4;
const roundSteps = [1, 2, 2.5, 5];

/**
 * An axis that holds all of these values in at most four steps of 1, 2, 2.5 or 5 times a power of ten.
 *
 * @param values one at least
 * @param decimals with which the values are read: no step is finer
 */
export function axisFor(values: readonly number[], decimals: number): Axis {
  const [low, high] = [Math.min(...values), Math.max(...values)];
  const finest = -decimals;
  const power = Math.max(finest, Math.floor(Math.log10((high - low) / MOST_STEPS)));
  for (const exponent of [power, power + 1]) {
    for (const times of roundSteps) {
      if (times === 2.5 && exponent === finest) continue;
      const step = times * 10 ** exponent;
      const from = Math.floor(low / step + 1e-9) * step;
      const steps = Math.max(1, Math.ceil((high - from) / step - 1e-9));
      const shown = Math.max(0, (times === 2.5 ? 1 : 0) - exponent);
      if (steps <= MOST_STEPS) return { from: Number(from.toFixed(shown)), step, steps, decimals: shown };
    }
  }
  throw new Error(`No axis holds ${low} to ${high}.`);
}
