import { addMinutes, type Instant } from '../../../kernel/time/instant';
import { coveredMinutes } from './intervals';
import { problemsAmong, type PastJob } from './past-job';
import { daysBetween, repetitionsOf, type PastWindow, type Recurrence, type Silence } from './recurrence';
import { meanBetween, quantile, trendOf, type MeanBetween, type Trend } from './reliability';
import { holm } from './several-tests';

const YEAR_MINUTES = 365 * 24 * 60;

/** What the past of an asset says, as figures; every one names the jobs that it was made from. */
export interface Findings {
  readonly window: PastWindow;
  /** How often it fails; in days. Null when nothing was watched. */
  readonly failures: {
    readonly jobs: readonly PastJob[];
    readonly meanDays: MeanBetween;
    readonly trend: Trend;
  } | null;
  readonly recurrences: readonly Recurrence[];
  readonly silences: readonly Silence[];
  /** Full, unplanned stoppages of the last twelve months; what two of them cover counts once. */
  readonly downtime: { readonly minutes: number; readonly jobs: readonly PastJob[] };
  /** Active minutes of repairs; null where none has its time. */
  readonly repair: {
    readonly median: number;
    readonly p80: number;
    readonly jobs: readonly PastJob[];
  } | null;
}

/**
 * Of a hundred pasts of pure chance at most five say anything false: half of that is left to the trend, half to all that
 * recurs or fell silent together.
 */
const FALSE_PATTERNS = 0.025;

/**
 * Reads a past. Jobs may come in any order; failures before the window or after the present (a clock was wrong) are not
 * counted.
 */
export function findingsOf(jobs: readonly PastJob[], window: PastWindow): Findings {
  const failed = problemsAmong(jobs)
    .filter((job) => window.from < job.at && job.at <= window.to)
    .sort((a, b) => (a.at < b.at ? -1 : a.at > b.at ? 1 : 0));
  const watched = {
    failures: failed.map(({ at }) => daysBetween(window.from, at)),
    length: daysBetween(window.from, window.to),
  };
  const meanDays = meanBetween(watched);
  const known = jobs.filter(({ at }) => at <= window.to);
  return {
    window,
    failures: meanDays === null ? null : { jobs: failed, meanDays, trend: trendOf(watched) },
    ...tellingOf(known, window),
    downtime: downtimeOf(jobs, window.to),
    repair: repairOf(failed),
  };
}

/** What recurs and what fell silent, as far as chance would hardly do it among so many looks. */
function tellingOf(jobs: readonly PastJob[], window: PastWindow): Pick<Findings, 'recurrences' | 'silences'> {
  const { recurrences, silences, tests } = repetitionsOf(jobs, window);
  const adjusted = holm(
    [...recurrences, ...silences].map(({ p }) => p),
    tests,
  );
  const isTelling = (index: number): boolean => (adjusted[index] ?? 1) < FALSE_PATTERNS;
  return {
    recurrences: recurrences.filter((_, index) => isTelling(index)),
    silences: silences.filter((_, index) => isTelling(recurrences.length + index)),
  };
}

function downtimeOf(jobs: readonly PastJob[], now: Instant): Findings['downtime'] {
  const year = { from: addMinutes(now, -YEAR_MINUTES), to: now };
  const stopping = jobs.flatMap((job) => {
    const stoppages = job.stoppages.filter(
      ({ from, to, extent, isPlanned }) =>
        extent === 'full' &&
        !isPlanned &&
        from < year.to &&
        // One that ends before it begins, or at once, stopped nothing.
        (to === null || (to > year.from && to > from)),
    );
    return stoppages.length === 0 ? [] : [{ job, stoppages }];
  });
  return {
    minutes: coveredMinutes(
      stopping.flatMap(({ stoppages }) => stoppages),
      year,
    ),
    jobs: stopping.map(({ job }) => job),
  };
}

function repairOf(failed: readonly PastJob[]): Findings['repair'] {
  const jobs = failed.filter(({ activeMinutes }) => activeMinutes > 0);
  const minutes = jobs.map(({ activeMinutes }) => activeMinutes);
  const [median, p80] = [quantile(minutes, 0.5), quantile(minutes, 0.8)];
  return median === null || p80 === null ? null : { median: Math.round(median), p80: Math.round(p80), jobs };
}

/** How often each failure mode was coded, the most frequent first (Pareto). */
export function modesOf(jobs: readonly PastJob[]): { readonly mode: string; readonly jobs: readonly PastJob[] }[] {
  const modes = new Map<string, PastJob[]>();
  for (const job of problemsAmong(jobs)) {
    const coded = new Set(job.faults.map(({ mode }) => mode));
    for (const mode of coded.size === 0 ? ['UNK'] : coded) {
      const ofMode = modes.get(mode);
      if (ofMode === undefined) modes.set(mode, [job]);
      else ofMode.push(job);
    }
  }
  return [...modes]
    .map(([mode, ofMode]) => ({ mode, jobs: ofMode }))
    .sort((a, b) => b.jobs.length - a.jobs.length || (a.mode < b.mode ? -1 : 1));
}
