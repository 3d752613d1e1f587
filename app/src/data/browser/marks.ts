/** Points in time that benchmarks read; each is set once after a start. */
type Mark = 'oilcan:rows' | 'oilcan:first-row' | 'oilcan:sign-in';

export function markOnce(mark: Mark): void {
  if (performance.getEntriesByName(mark).length === 0) performance.mark(mark);
}
