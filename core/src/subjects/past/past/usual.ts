import type { AssetId, PartId } from '../../../kernel/ids';
import type { Thousandths } from '../../../kernel/quantity/quantity';
import type { WorkOrder } from '../../orders/work/work-order';
import { likeness } from '../../../kernel/text/likeness';
import type { PastJob } from './past-job';
import { quantile } from './reliability';

/** Below so many jobs nothing is called usual. */
const FEWEST_TO_BE_USUAL = 3;
/** Rarer parts are not worth carrying along. */
const RAREST_PART = 0.15;

/** Where the jobs are from that something is usual in: the very same job here, jobs like it here, or jobs like it on its class. */
export type UsualFrom = 'same job' | 'like it here' | 'like it on its class';

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

/** What a job is: on which asset, of which kind, with which title; and which, where it is one that there is: it is not like itself. */
export type JobLike = Pick<WorkOrder, 'assetId' | 'kind' | 'tradeId' | 'title'> & Partial<Pick<WorkOrder, 'id'>>;

/** A job whose words have so much of what this one is called is like it. */
const LIKE_IT = 0.5;

/**
 * What jobs like this one took, of its kind and trade: those with its title on its asset where there are enough, else those whose words
 * are like it there, else on others of its class. Null where even those are too few: that a machine often took a part says nothing of
 * work of another sort.
 *
 * @param past jobs of the asset
 * @param ofClass jobs of other assets of the same class
 */
export function usualFor(like: JobLike, past: readonly PastJob[], ofClass: readonly PastJob[]): Usual | null {
  const isAlike = (job: PastJob): boolean =>
    job.id !== like.id &&
    job.atStop !== true &&
    job.kind === like.kind &&
    job.tradeId === like.tradeId &&
    job.endedAt !== null &&
    job.state !== 'dropped';
  const here = past.filter((job) => isAlike(job) && job.assetId === like.assetId);
  const elsewhere = ofClass.filter((job) => isAlike(job) && !isOn(job, like.assetId));
  const title = titleKey(like.title);
  const alike = likeInWords(like.title, [...here, ...elsewhere]);
  const candidates: readonly (readonly [UsualFrom, readonly PastJob[]])[] = [
    ['same job', here.filter((job) => titleKey(job.title) === title)],
    ['like it here', here.filter((job) => alike.has(job))],
    ['like it on its class', elsewhere.filter((job) => alike.has(job))],
  ];
  const [from, jobs] = candidates.find(([, some]) => some.length >= FEWEST_TO_BE_USUAL) ?? [];
  if (from === undefined || jobs === undefined) return null;
  return { from, jobs, minutes: minutesOf(jobs), parts: partsOf(jobs), withoutParts: withoutParts(jobs) };
}

const isOn = (job: PastJob, assetId: AssetId): boolean => job.assetId === assetId;

/**
 * The jobs that were such work: their words have most of what is wanted, where rare words count for more, and they name no other
 * measure; or they were coded as the same fault of the same part as most of those.
 */
export function likeInWords(wanted: string, jobs: readonly PastJob[]): ReadonlySet<PastJob> {
  const scores = likeness(
    subjectOf(wanted),
    jobs.map(({ title, reason }) => subjectOf(`${title} ${reason}`)),
  );
  const measures = measuresIn(wanted);
  const named = jobs.filter((job, index) => (scores[index] ?? 0) >= LIKE_IT && measuresIn(job.title) === measures);
  const meant = faultsOfMost(named);
  return new Set([...named, ...jobs.filter((job) => faultsOf(job).some((fault) => meant.has(fault)))]);
}

const faultsOf = ({ faults }: PastJob): string[] =>
  faults.map(({ component, mode }) => `${component.trim().toLowerCase()} ${mode}`);

function faultsOfMost(jobs: readonly PastJob[]): ReadonlySet<string> {
  const times = new Map<string, number>();
  for (const fault of jobs.flatMap((job) => [...new Set(faultsOf(job))])) times.set(fault, (times.get(fault) ?? 0) + 1);
  return new Set([...times].flatMap(([fault, count]) => (count > jobs.length / 2 ? [fault] : [])));
}

/** Parts that more such jobs took than not are likely to be taken again. */
const TAKEN_BY = 0.5;

/** Whether most jobs like these took a part. */
export function isLikelyPart({ jobs }: UsualPart, usual: Pick<Usual, 'jobs'>): boolean {
  return jobs / usual.jobs.length > TAKEN_BY;
}

/** A number with the unit of an interval: it tells one service from another, as the number of a cabin or what was read does not. */
const MEASURE = /(\d+(?:[.,]\d+)?)\s*(h|hrs?|hours?|days?|weeks?|months?|years?|km)(?![\p{L}\p{N}])/giu;

/** Thousands as people set them apart: “2,000”. */
const withoutCommas = (text: string): string => text.replace(/(\d),(\d{3})(?!\d)/g, '$1$2');

/** The measures that a title names, in one form: “Service 250 h” and “250h service” name one, “Service 2,000 h” another. */
function measuresIn(title: string): string {
  return [...withoutCommas(title).matchAll(MEASURE)]
    .map(([, number = '', unit = '']) => `${Number(number.replace(',', '.'))}${unit.toLowerCase()}`)
    .sort()
    .join(' ');
}

const withoutMeasures = (text: string): string => withoutCommas(text).replace(MEASURE, ' ');

/** Words that tell that something came once more, and nothing of what: “Seal weeps again” is like “Seal weeps”. */
const ONCE_MORE = /\b(again|still|once more|another time|anew)\b/giu;

const subjectOf = (text: string): string => withoutMeasures(text).replace(ONCE_MORE, ' ');

/** Titles that differ only in counting numbers and case are of the same job: “Cabin 12 door sticks”, “Cabin 40 door sticks”. */
export function titleKey(title: string): string {
  const words = withoutMeasures(title).toLowerCase().replace(/\d+/g, '#').replace(/\s+/g, ' ').trim();
  const measures = measuresIn(title);
  return measures === '' ? words : `${words} (${measures})`;
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
