import { minutesBetween, toMillis, type Instant } from '../../../kernel/time/instant';
import type { Span } from '../../../kernel/time/operating-hours';

/** A stretch of somebody's time, on a job or on none. */
export interface DayTime extends Span {
  /** Of the entry or row that it is recorded in. */
  readonly id: string;
  /** The work order it was spent on; null for time on no job. */
  readonly workOrderId: string | null;
}

/** Two stretches that one person cannot have worked both, and what they share. */
export interface Overlap extends Span {
  readonly earlier: DayTime;
  readonly later: DayTime;
}

/** How somebody's day stands. */
export interface Day {
  /** What of it lies within the day, the earliest first. */
  readonly times: readonly DayTime[];
  /** Minutes on jobs; what is recorded twice counts once. */
  readonly onJobs: number;
  /** Minutes on no job that are not on a job as well. */
  readonly onNone: number;
  /** Minutes of the shift for which nothing is recorded; never below zero. */
  readonly left: number;
  readonly overlaps: readonly Overlap[];
  /** Between the first and the last that is recorded, where nothing is. */
  readonly gaps: readonly Span[];
}

/** Puts somebody's times of a day together. Times may come in any order and may reach beyond the day; what does is cut off. */
export function dayOf(times: readonly DayTime[], day: Span, shiftMinutes: number): Day {
  const within = inOrder(times)
    .map((time) => ({ ...time, from: later(time.from, day.from), to: earlier(time.to, day.to) }))
    .filter(({ from, to }) => from < to);
  const all = united(within);
  const onJobs = minutesOf(united(within.filter(({ workOrderId }) => workOrderId !== null)));
  const booked = minutesOf(all);
  return {
    times: within,
    onJobs,
    onNone: booked - onJobs,
    left: Math.max(0, shiftMinutes - booked),
    overlaps: overlapsAmong(within),
    gaps: all.slice(1).flatMap(({ from }, index) => {
      const before = all[index];
      return before === undefined || isMoment({ from: before.to, to: from }) ? [] : [{ from: before.to, to: from }];
    }),
  };
}

/** Clocks count whole minutes: what is less lies between two of them that followed each other, and nobody made it. */
const isMoment = ({ from, to }: Span): boolean => toMillis(to) - toMillis(from) < MINUTE;

const MINUTE = 60_000;

/** Every two of these that share time, the earliest first. */
export function overlapsAmong(times: readonly DayTime[]): Overlap[] {
  const sorted = inOrder(times);
  return sorted.flatMap((first, index) =>
    sorted
      .slice(index + 1)
      .filter((second) => second.from < first.to && second.from < second.to)
      .map((second) => ({ earlier: first, later: second, from: second.from, to: earlier(first.to, second.to) }))
      .filter((shared) => !isMoment(shared)),
  );
}

/** What is left of a stretch when these are taken out of it, the earliest first. */
export function without(span: Span, taken: readonly Span[]): Span[] {
  const pieces: Span[] = [];
  let from = span.from;
  for (const each of united(taken)) {
    if (each.to <= from || each.from >= span.to) continue;
    if (each.from > from) pieces.push({ from, to: each.from });
    from = each.to;
  }
  if (from < span.to) pieces.push({ from, to: span.to });
  return pieces;
}

/** Stretches joined where they meet or overlap, the earliest first. */
function united(spans: readonly Span[]): Span[] {
  const joined: { from: Instant; to: Instant }[] = [];
  for (const { from, to } of inOrder(spans)) {
    const last = joined.at(-1);
    if (last !== undefined && from <= last.to) last.to = later(last.to, to);
    else joined.push({ from, to });
  }
  return joined;
}

function minutesOf(spans: readonly Span[]): number {
  return spans.reduce((sum, { from, to }) => sum + minutesBetween(from, to), 0);
}

function inOrder<S extends Span>(spans: readonly S[]): S[] {
  return [...spans].sort((a, b) => toMillis(a.from) - toMillis(b.from) || toMillis(a.to) - toMillis(b.to));
}

const earlier = (a: Instant, b: Instant): Instant => (a < b ? a : b);
const later = (a: Instant, b: Instant): Instant => (a > b ? a : b);
