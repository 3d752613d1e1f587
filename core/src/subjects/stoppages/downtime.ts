import { toMillis } from '../../kernel/time/instant';
import type { Span } from '../../kernel/time/operating-hours';
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
  for (const { when, percent, change } of edges) {
    if (when > at && (full > 0 || shares.size > 0)) {
      const span = within(at, when);
      if (full > 0) stopped += span;
      else {
        reduced += span;
        lost += (span * Math.max(...shares.keys())) / 100;
      }
    }
    at = Math.max(at, when);
    if (percent === null) full += change;
    else {
      const count = (shares.get(percent) ?? 0) + change;
      if (count === 0) shares.delete(percent);
      else shares.set(percent, count);
    }
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

interface Edge {
  readonly when: number;
  /** Null for standing still, else the share that is lost. */
  readonly percent: number | null;
  /** It begins (1) or ends (-1). */
  readonly change: 1 | -1;
}

function edgesOf(stoppages: readonly Stoppage[], start: number, end: number): Edge[] {
  const edges: Edge[] = [];
  for (const { from, to, extent, lostPercent } of stoppages) {
    const [begins, ends] = [Math.max(start, toMillis(from)), Math.min(end, to === null ? end : toMillis(to))];
    if (begins >= ends) continue;
    const percent = extent === 'full' ? null : (lostPercent ?? 0);
    edges.push({ when: begins, percent, change: 1 }, { when: ends, percent, change: -1 });
  }
  return edges.sort((a, b) => a.when - b.when);
}
