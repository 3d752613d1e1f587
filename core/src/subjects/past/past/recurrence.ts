import type { PartId } from '../../../kernel/ids';
import { toMillis, type Instant } from '../../../kernel/time/instant';
import { problemsAmong, type PastJob } from './past-job';
import { quantile } from './reliability';
import { atLeast, evenByChance } from './several-tests';

/** From when on failures would have been written down, and the present. */
export interface PastWindow {
  readonly from: Instant;
  readonly to: Instant;
}

export const DAY_MILLISECONDS = 86_400_000;

/** A failure comes back when it comes within so many times its usual gap. */
const WINDOW_IN_GAPS = 2;
/** From the third time on it recurs; two times make only one gap, and every gap is its own usual one. */
const FEWEST_TO_RECUR = 3;
/** From so many times on its silence can mean something. */
const FEWEST_TO_BE_QUIET = 4;

/** What comes back: a coded failure at a part of the machine, or a part that is used up again and again. */
export type Recurring =
  | { readonly by: 'mode'; readonly mode: string; readonly component: string }
  | { readonly by: 'part'; readonly partId: PartId };

/** What was done against it the last time. */
export interface Remedy {
  readonly job: PastJob;
  /** Maintenance activity 1–12 (ISO 14224), if it was coded. */
  readonly activity: number | null;
  /** What was written about it; empty for nothing. */
  readonly text: string;
}

interface Repeated {
  readonly what: Recurring;
  /** Days between one time and the next, the median. */
  readonly usualGapDays: number;
  readonly last: Remedy;
  /** The times that the finding is about, oldest first. */
  readonly jobs: readonly PastJob[];
}

/** It came again and again, the last time not long ago as such things go. */
export interface Recurrence extends Repeated {
  /** Days from the first to the last of these times. */
  readonly spanDays: number;
  /** For how many days each remedy before the last held, oldest first. */
  readonly heldDays: readonly number[];
  /** How likely it looks at least so much like coming back if it came by pure chance at one rate. */
  readonly p: number;
}

/** It came often and then stopped, for longer than chance would let it. */
export interface Silence extends Repeated {
  readonly quietDays: number;
  /** How likely a silence this long is if nothing had changed. */
  readonly p: number;
}

interface Times {
  readonly what: Recurring;
  readonly jobs: readonly PastJob[];
}

/** What looks as if it recurs or fell silent, and how many such looks were taken: whoever tells of them allows for that. */
export interface Repetitions {
  readonly recurrences: readonly Recurrence[];
  readonly silences: readonly Silence[];
  readonly tests: number;
}

export function repetitionsOf(jobs: readonly PastJob[], window: PastWindow): Repetitions {
  const repeated = repeatedOf(jobs);
  const forRecurring = repeated.filter((each) => each.jobs.length >= FEWEST_TO_RECUR);
  const forQuiet = repeated.filter(({ what, jobs: times }) => what.by === 'mode' && times.length >= FEWEST_TO_BE_QUIET);
  return {
    recurrences: recurrencesAmong(forRecurring, window),
    silences: silencesAmong(forQuiet, window.to),
    tests: forRecurring.length + forQuiet.length,
  };
}

/**
 * What may recur: at least three times, each within twice the usual gap (the median) of the one before, and the last one so
 * near to the present too. What comes most often comes first. A part that is only used where a mode is counted already
 * is not counted again. Pure chance does as much, so each bears how likely that is.
 */
function recurrencesAmong(repeated: readonly Times[], watched: PastWindow): Recurrence[] {
  const now = watched.to;
  const found = repeated.flatMap(({ what, jobs: times }): Recurrence[] => {
    const gaps = gapsOf(times);
    const usualGapDays = quantile(gaps, 0.5) ?? 0;
    const window = usualGapDays * WINDOW_IN_GAPS;
    if (daysBetween(times.at(-1)?.at ?? now, now) > window) return [];
    const lastLong = gaps.findLastIndex((gap) => gap > window);
    const run = times.slice(lastLong + 1);
    if (run.length < FEWEST_TO_RECUR) return [];
    const { jobs: told, p } = mostTelling(times, gaps, run, watched);
    const [first, last] = [told[0], told.at(-1)];
    if (first === undefined || last === undefined) return [];
    return [
      {
        what,
        usualGapDays,
        last: remedyOf(last),
        jobs: told,
        spanDays: daysBetween(first.at, last.at),
        heldDays: gapsOf(told),
        p,
      },
    ];
  });
  found.sort((a, b) => b.jobs.length - a.jobs.length || a.spanDays - b.spanDays);
  return found;
}

/**
 * The part of a run that tells most against chance at one rate, and how likely chance does as much: either the gaps are as
 * even as all of these, or as many of its last times crowd towards the present. Of n times in the watched stretch, which
 * chance spreads evenly, k or more lie after a moment by the binomial distribution; looking for the most telling k costs a
 * factor for each that could be looked at, and looking for both a factor of 2.
 */
function mostTelling(
  times: readonly PastJob[],
  gaps: readonly number[],
  run: readonly PastJob[],
  { from, to }: PastWindow,
): { readonly jobs: readonly PastJob[]; readonly p: number } {
  const length = daysBetween(from, to);
  const counted = times.filter(({ at }) => at > from && at <= to).length;
  let [told, crowded] = [run, 1];
  for (let count = FEWEST_TO_RECUR; count <= run.length && length > 0; count += 1) {
    const jobs = run.slice(-count);
    const share = daysBetween(jobs[0]?.at ?? from, to) / length;
    const p = atLeast(count, counted, share);
    if (p < crowded) [told, crowded] = [jobs, p];
  }
  crowded *= Math.max(1, counted - FEWEST_TO_RECUR + 1);
  const even = evenByChance(gaps);
  return { jobs: crowded < even ? told : run, p: Math.min(1, 2 * Math.min(even, crowded)) };
}

/**
 * What came often and is quiet since, with how likely that is. With n gaps that add up to S, and failures by pure chance at one rate, a further
 * gap is longer than q with probability (S / (S + q))ⁿ: the exponential with its unknown rate integrated out.
 */
function silencesAmong(repeated: readonly Times[], now: Instant): Silence[] {
  const found = repeated.flatMap(({ what, jobs: times }): Silence[] => {
    const last = times.at(-1);
    if (last === undefined) return [];
    const gaps = gapsOf(times);
    const sum = gaps.reduce((total, gap) => total + gap, 0);
    const quietDays = daysBetween(last.at, now);
    // All at one moment were one event, whatever it was written down as.
    if (sum === 0) return [];
    const p = (sum / (sum + quietDays)) ** gaps.length;
    return [{ what, usualGapDays: quantile(gaps, 0.5) ?? 0, last: remedyOf(last), jobs: times, quietDays, p }];
  });
  found.sort((a, b) => a.p - b.p);
  return found;
}

/** The failures by what they have in common, each oldest first; at least two of a kind. */
function repeatedOf(jobs: readonly PastJob[]): Times[] {
  const byMode = new Map<string, { what: Recurring; jobs: PastJob[] }>();
  const byPart = new Map<string, { what: Recurring; jobs: PastJob[] }>();
  const failures = problemsAmong(jobs).sort((a, b) => toMillis(a.at) - toMillis(b.at));
  for (const job of failures) {
    for (const { mode, component } of job.faults) {
      const key = `${job.assetId} ${mode} ${component.trim().toLowerCase()}`;
      add(byMode, key, { by: 'mode', mode, component: component.trim() }, job);
    }
    for (const { partId } of job.parts) add(byPart, `${job.assetId} ${partId}`, { by: 'part', partId }, job);
  }
  const modes = [...byMode.values()];
  const inModes = modes.map((each) => new Set(each.jobs));
  const parts = [...byPart.values()].filter((each) => !inModes.some((mode) => each.jobs.every((job) => mode.has(job))));
  return [...modes, ...parts].filter((each) => each.jobs.length > 1);
}

function add(groups: Map<string, { what: Recurring; jobs: PastJob[] }>, key: string, what: Recurring, job: PastJob) {
  const group = groups.get(key);
  if (group === undefined) groups.set(key, { what, jobs: [job] });
  else if (group.jobs.at(-1) !== job) group.jobs.push(job);
}

export function remedyOf(job: PastJob): Remedy {
  return { job, activity: job.faults.at(-1)?.activity ?? null, text: job.notes.at(-1) ?? '' };
}

function gapsOf(jobs: readonly PastJob[]): number[] {
  return jobs.slice(1).map((job, index) => daysBetween(jobs[index]?.at ?? job.at, job.at));
}

/** Days from one moment to another, with their fraction; never below zero. */
export function daysBetween(from: Instant, to: Instant): number {
  return Math.max(0, (toMillis(to) - toMillis(from)) / DAY_MILLISECONDS);
}
