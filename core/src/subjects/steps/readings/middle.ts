/** The middle value; the mean of the two middle ones where their number is even. NaN for none. */
export function median(values: readonly number[]): number {
  const sorted = Float64Array.from(values).sort();
  const half = sorted.length >> 1;
  const upper = sorted[half] ?? NaN;
  return sorted.length % 2 === 1 ? upper : ((sorted[half - 1] ?? NaN) + upper) / 2;
}

/** The median of how far values are from their median. */
export function medianDeviation(values: readonly number[]): number {
  const middle = median(values);
  return median(values.map((value) => Math.abs(value - middle)));
}

/** The median of absolute deviations times this is the standard deviation of a normal distribution: 1 / Φ⁻¹(3/4) (memory). */
export const TO_DEVIATION = 1.4826;

/** The median of the means of all pairs, each value with itself too (J. Hodges and E. Lehmann, 1963): a middle that wild values hardly move. */
export function hodgesLehmann(values: readonly number[]): number {
  const means: number[] = [];
  values.forEach((a, index) => {
    for (let other = index; other < values.length; other += 1) means.push((a + (values[other] ?? a)) / 2);
  });
  return median(means);
}
