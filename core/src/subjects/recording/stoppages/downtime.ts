import { toMillis } from '../../../kernel/time/instant';
import type { Span } from '../../../kernel/time/operating-hours';
import type { StoppageContent } from './stoppages-entries';

/** How long a machine was down, in whole minutes. What several stoppages cover counts once. */
export interface Downtime {
  /** It stood still. */
  readonly stoppedMinutes: number;
  /** It ran, but reduced; without the time in which it stood still as well. */
  readonly reducedMinutes: number;
  /** Both as time of full standstill: a quarter less for an hour is a quarter of an hour. What is not said counts as nothing lost. */
  readonly lostMinutes: number;
}

type Stoppage = Pick<StoppageContent, 'from' | 'to' | 'extent' | 'lostPercent'>;

const MINUTE = 60_000;

/**
 * The downtime of one machine: the union of its stoppages, whichever work order they were recorded on. Standing still goes before
 * running reduced, and of several reductions at once the largest counts.
 *
 * @param window what lasts still is counted up to its end
 * @param open the stretches that count, in their order and apart from each other, such as operating hours; null for round the clock
 */
export function downtimeOf(stoppages: readonly Stoppage[], window: Span, open: readonly Span[] | null): Downtime {
  const [start, end] = [toMillis(window.from), toMillis(window.to)];
  const edges = edgesOf(stoppages, start, end);
  const counted = (open ?? [window]).map(({ from, to }) => [toMillis(from), toMillis(to)] as const);
  let [stopped, reduced, lost, at, next, full] = [0, 0, 0, start, 0, 0];
  /** How many reductions of each share last now, by their percent. */
  const shares = new Map<number, number>();
  let largest = 0;
  for (const edge of edges) {
    const code = edge % CODES;
    const when = start + (edge - code) / CODES;
    if (when > at && (full > 0 || shares.size > 0)) {
      const span = within(at, when);
      if (full > 0) stopped += span;
      else {
        reduced += span;
        lost += (span * largest) / 100;
      }
    }
    at = Math.max(at, when);
    const share = code >> 1;
    const change = code % 2 === 1 ? 1 : -1;
    if (share === FULL) {
      full += change;
      continue;
    }
    const many = (shares.get(share) ?? 0) + change;
    if (many === 0) shares.delete(share);
    else shares.set(share, many);
    if (share > largest) largest = share;
    else if (many === 0 && share === largest) largest = Math.max(0, ...shares.keys());
  }
  const minutes = (millis: number): number => Math.round(millis / MINUTE);
  return { stoppedMinutes: minutes(stopped), reducedMinutes: minutes(reduced), lostMinutes: minutes(stopped + lost) };

  /** How much of a stretch is counted. Asked in the order of time, so that what lies before is not looked at again. */
  function within(from: number, to: number): number {
    let covered = 0;
    while (next < counted.length && (counted[next]?.[1] ?? 0) <= from) next += 1;
    for (let index = next; index < counted.length; index += 1) {
      const [opens, closes] = counted[index] ?? [0, 0];
      if (opens >= to) break;
      covered += Math.max(0, Math.min(to, closes) - Math.max(from, opens));
    }
    return covered;
  }
}

/** Where a stoppage begins or ends, as one whole number, so that hundreds of thousands are sorted as plain numbers. */
const SHARES = 128;
const CODES = 2 * SHARES;
/** Standing still, beside the shares of 0 to 100 percent. */
const FULL = SHARES - 1;

/** The edges in the order of time: milliseconds since `start`, and beside them the share and whether it begins. */
function edgesOf(stoppages: readonly Stoppage[], start: number, end: number): Float64Array {
  const edges = new Float64Array(2 * stoppages.length);
  let count = 0;
  for (const { from, to, extent, lostPercent } of stoppages) {
    const [begins, ends] = [Math.max(start, toMillis(from)), Math.min(end, to === null ? end : toMillis(to))];
    if (begins >= ends) continue;
    const share = extent === 'full' ? FULL : (lostPercent ?? 0);
    edges[count] = (begins - start) * CODES + share * 2 + 1;
    edges[count + 1] = (ends - start) * CODES + share * 2;
    count += 2;
  }
  return edges.subarray(0, count).sort();
}
