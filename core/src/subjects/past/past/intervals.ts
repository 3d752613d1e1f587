import { toMillis, type Instant } from '../../../kernel/time/instant';

/** A stretch of time; `to` null while it lasts. */
export interface Interval {
  readonly from: Instant;
  readonly to: Instant | null;
}

const MILLISECONDS_PER_MINUTE = 60_000;

/**
 * Minutes within a window that at least one of the intervals covers: what two of them cover counts once. Intervals whose
 * end lies before their beginning cover nothing.
 *
 * @param window what lasts still is counted up to its end
 */
export function coveredMinutes(intervals: readonly Interval[], window: { from: Instant; to: Instant }): number {
  const [start, end] = [toMillis(window.from), toMillis(window.to)];
  const clipped = intervals
    .map(({ from, to }) => [Math.max(start, toMillis(from)), Math.min(end, to === null ? end : toMillis(to))] as const)
    .filter(([from, to]) => from < to)
    .sort(([a], [b]) => a - b);
  let covered = 0;
  let reached = start;
  for (const [from, to] of clipped) {
    covered += Math.max(0, to - Math.max(from, reached));
    reached = Math.max(reached, to);
  }
  return Math.round(covered / MILLISECONDS_PER_MINUTE);
}
