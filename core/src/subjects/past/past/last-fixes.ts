import type { Instant } from '../../../kernel/time/instant';
import { isOpen } from '../../orders/work/states';
import { problemsAmong, type PastJob } from './past-job';
import { daysBetween, remedyOf, type Remedy } from './recurrence';
import { likeInWords, type JobLike } from './usual';

/** So many are told of: the last, and what was tried before it. */
const MOST_FIXES = 3;

/** What was done against a failure, and how long that held. */
export interface Fix extends Remedy {
  readonly endedAt: Instant;
  /** Days until the same came again; null where it has not. */
  readonly heldDays: number | null;
}

/**
 * What fixed a problem of a machine the last times, newest first: facts of single repairs, of which nothing is concluded. For a job
 * those against what is like it; without one those against what failed last, or fails now. Dropped work, and a follow-up of a repair, is no
 * fix of its own.
 *
 * @param jobs the past of one machine with its open work, in any order
 * @param like the job that somebody is at; null for the machine
 */
export function lastFixes(jobs: readonly PastJob[], like: JobLike | null): Fix[] {
  if (like !== null && like.kind !== 'corrective') return [];
  const failed = problemsAmong(jobs).sort(newestFirst);
  const open = jobs.filter(({ kind, state }) => kind === 'corrective' && isOpen(state)).sort(newestFirst);
  const about =
    like ?? [open[0], failed[0]].find((job) => job !== undefined && likeInWords(job.title, failed).size > 0);
  if (about === undefined) return [];
  const same = likeInWords(about.title, failed);
  const times = failed.filter((job) => same.has(job));
  // Once it is finished, a job is no fix of itself: it is what ended that the last one held.
  const itself = like === null ? undefined : jobs.find(({ id }) => id === like.id);
  const ended = times.filter((job): job is Ended => job.endedAt !== null && job !== itself);
  // What is open may be one that nobody has begun, which is no failure yet; it ended that the last repair held all the same.
  const again = itself ?? open.find((job) => likeInWords(about.title, [job]).has(job));
  return ended.slice(0, MOST_FIXES).map((job, index) => {
    const next = ended[index - 1] ?? again;
    const held = next === undefined || next.at < job.endedAt ? null : daysBetween(job.endedAt, next.at);
    return { ...remedyOf(job), endedAt: job.endedAt, heldDays: held };
  });
}

type Ended = PastJob & { readonly endedAt: Instant };

const newestFirst = (a: PastJob, b: PastJob): number => (a.at < b.at ? 1 : a.at > b.at ? -1 : 0);
