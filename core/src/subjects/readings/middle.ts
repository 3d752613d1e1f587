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
