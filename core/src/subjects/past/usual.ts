import type { AssetId, PartId } from '../../kernel/ids';
import type { Thousandths } from '../../kernel/quantity/quantity';
import type { WorkOrder } from '../work/work-order';
import type { PastJob } from './past-job';
import { quantile } from './reliability';

/** Below so many jobs nothing is called usual. */
const FEWEST_TO_BE_USUAL = 3;
/** Rarer parts are not worth carrying along. */
const RAREST_PART = 0.15;

/** Where the jobs are from that something is usual in: the same job here, the same kind and trade here, or on its class. */
export type UsualFrom = 'same job' | 'same asset' | 'same class';

export interface UsualPart {
  readonly partId: PartId;
  /** In how many of the jobs it was used. */
  readonly jobs: number;
  /** The median of the amounts where it was used. */
  readonly quantity: Thousandths;
}

/** What jobs like one usually take. */
export interface Usual {
  readonly from: UsualFrom;
  /** The jobs that it was made from, newest first. */
  readonly jobs: readonly PastJob[];
  /** Median and 80th percentile of the active minutes; null when no time was recorded. */
  readonly minutes: { readonly median: number; readonly p80: number } | null;
  /** The likeliest first. */
  readonly parts: readonly UsualPart[];
  /** How many of the jobs say that no part was taken, and how many say nothing of parts: those may have taken some. */
  readonly withoutParts: { readonly saidNone: number; readonly notSaid: number };
}

/** What a job is: on which asset, of which kind, with which title. */
export type JobLike = Pick<WorkOrder, 'assetId' | 'kind' | 'tradeId' | 'title'>;

/**
 * What jobs like this one took: jobs with its title on its asset where there are enough, else of its kind and trade on its
 * asset, else of its kind and trade on others of its class. Null where even those are too few.
 *
 * @param past jobs of the asset
 * @param ofClass jobs of other assets of the same class
 */
export function usualFor(like: JobLike, past: readonly PastJob[], ofClass: readonly PastJob[]): Usual | null {
  const isAlike = (job: PastJob): boolean =>
    job.atStop !== true &&
    job.kind === like.kind &&
    job.tradeId === like.tradeId &&
    job.endedAt !== null &&
    job.state !== 'dropped';
  const here = past.filter((job) => isAlike(job) && job.assetId === like.assetId);
  const title = titleKey(like.title);
  const candidates: readonly (readonly [UsualFrom, readonly PastJob[]])[] = [
    ['same job', here.filter((job) => titleKey(job.title) === title)],
    ['same asset', here],
    ['same class', ofClass.filter((job) => isAlike(job) && !isOn(job, like.assetId))],
  ];
  const [from, jobs] = candidates.find(([, some]) => some.length >= FEWEST_TO_BE_USUAL) ?? [];
  if (from === undefined || jobs === undefined) return null;
  return { from, jobs, minutes: minutesOf(jobs), parts: partsOf(jobs), withoutParts: withoutParts(jobs) };
}

const isOn = (job: PastJob, assetId: AssetId): boolean => job.assetId === assetId;

/** Parts that more such jobs took than not belong to a kit made for one. */
const TAKEN_BY = 0.5;

/** The parts that a job like these is given along. */
export function likelyKit({ parts, jobs }: Pick<Usual, 'parts' | 'jobs'>): UsualPart[] {
  return parts.filter((part) => part.jobs / jobs.length > TAKEN_BY);
}

/** Titles that differ only in numbers and case are of the same job: “Cabin 12 door sticks”, “Cabin 40 door sticks”. */
export function titleKey(title: string): string {
  return title.toLowerCase().replace(/\d+/g, '#').replace(/\s+/g, ' ').trim();
}

function minutesOf(jobs: readonly PastJob[]): Usual['minutes'] {
  const minutes = jobs.map(({ activeMinutes }) => activeMinutes).filter((each) => each > 0);
  const [median, p80] = [quantile(minutes, 0.5), quantile(minutes, 0.8)];
  return median === null || p80 === null ? null : { median: Math.round(median), p80: Math.round(p80) };
}

function withoutParts(jobs: readonly PastJob[]): Usual['withoutParts'] {
  const without = jobs.filter(({ parts }) => parts.length === 0);
  const saidNone = without.filter((job) => job.saidNone.includes('part')).length;
  return { saidNone, notSaid: without.length - saidNone };
}

function partsOf(jobs: readonly PastJob[]): UsualPart[] {
  const amounts = new Map<PartId, Thousandths[]>();
  for (const { parts } of jobs)
    for (const { partId, quantity } of parts) amounts.set(partId, [...(amounts.get(partId) ?? []), quantity]);
  return [...amounts]
    .map(([partId, used]) => ({ partId, jobs: used.length, quantity: Math.round(quantile(used, 0.5) ?? 0) }))
    .filter((part) => part.jobs / jobs.length >= RAREST_PART)
    .sort((a, b) => b.jobs - a.jobs || (a.partId < b.partId ? -1 : 1));
}
