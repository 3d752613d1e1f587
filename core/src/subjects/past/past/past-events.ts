import type { PointId } from '../../../kernel/ids';
import type { Instant } from '../../../kernel/time/instant';
import type { EntryKindSet, PastKept, PastKind } from '../../orders/work/entry-kinds';
import { isOpen } from '../../orders/work/states';
import { listOf, pastKindsOf, type PastJob } from './past-job';

/** The kinds of event that a past is made of: the jobs themselves, and what was recorded on them. */
export type PastEventKind = 'work' | PastKind;

/** One thing that happened, with the job that it belongs to. */
export type PastEvent = {
  /** Its own within a past. */
  readonly id: string;
  readonly at: Instant;
  readonly job: PastJob;
} & ({ readonly kind: 'work' } | { [K in PastKind]: { readonly kind: K; readonly kept: PastKept[K] } }[PastKind]);

/** Which events of a past are wanted. */
export interface PastFilter {
  readonly kind: PastEventKind;
  /** Not before this; null for all. */
  readonly since: Instant | null;
  readonly state: 'all' | 'open' | 'ended';
  /** Every word must be in it, in any case. */
  readonly words: string;
  /** Only of these jobs, when a sentence was opened. */
  readonly jobs: ReadonlySet<string> | null;
  /** Of readings only those of this measuring point; null for all. */
  readonly pointId: PointId | null;
}

/** How a past keeps a kind, as code sees it that works on any. */
interface AnyPastFacet {
  readonly at: (kept: unknown, job: PastJob) => Instant;
  readonly words: (kept: unknown) => string;
}

function facetOf(kinds: EntryKindSet, kind: PastKind): AnyPastFacet {
  return kinds[kind].past as unknown as AnyPastFacet;
}

/** Every kind of event, the jobs first. */
export function eventKindsOf(kinds: EntryKindSet): PastEventKind[] {
  return ['work', ...pastKindsOf(kinds)];
}

/** How many events of each kind there are in these jobs. */
export function countEventsOf(kinds: EntryKindSet, jobs: readonly PastJob[]): Readonly<Record<PastEventKind, number>> {
  const count = (kind: PastKind): number => jobs.reduce((sum, job) => sum + job[listOf(kind)].length, 0);
  const counts = pastKindsOf(kinds).map((kind) => [kind, count(kind)] as const);
  return { work: jobs.filter(({ atStop }) => atStop !== true).length, ...Object.fromEntries(counts) } as Record<
    PastEventKind,
    number
  >;
}

function ofJob(kinds: EntryKindSet, job: PastJob, kind: PastEventKind): PastEvent[] {
  const id = job.atStop === true ? `${job.id}@${job.assetId}` : job.id;
  if (kind === 'work') return job.atStop === true ? [] : [{ kind, id, at: job.endedAt ?? job.at, job }];
  const { at } = facetOf(kinds, kind);
  return job[listOf(kind)].map(
    (kept, index) => ({ kind, id: `${id} ${kind} ${index}`, at: at(kept, job), job, kept }) as PastEvent,
  );
}

/** What was recorded on one job, kind by kind. Kinds of which there is nothing are left out. */
export function recordedOnJob(
  kinds: EntryKindSet,
  job: PastJob,
): { readonly kind: PastEventKind; readonly events: readonly PastEvent[] }[] {
  return pastKindsOf(kinds)
    .map((kind) => ({ kind, events: ofJob(kinds, job, kind) }))
    .filter(({ events }) => events.length > 0);
}

/**
 * The wanted events, newest first.
 *
 * @param namesOf further words by which a job is found, such as the names of its parts
 */
export function wantedEventsOf(
  kinds: EntryKindSet,
  jobs: readonly PastJob[],
  filter: PastFilter,
  namesOf: (job: PastJob) => string = () => '',
): PastEvent[] {
  const words = filter.words.toLowerCase().split(/\s+/).filter(Boolean);
  const wanted = jobs.filter(
    (job) =>
      (filter.jobs === null || filter.jobs.has(job.id)) &&
      (filter.state === 'all' || (filter.state === 'open') === isOpen(job.state)) &&
      isFound(kinds, job, words, namesOf),
  );
  const { since, pointId } = filter;
  return wanted
    .flatMap((job) => ofJob(kinds, job, filter.kind))
    .filter(({ at }) => since === null || at >= since)
    .filter((event) => pointId === null || event.kind !== 'reading' || event.kept.pointId === pointId)
    .sort((a, b) => (a.at < b.at ? 1 : a.at > b.at ? -1 : a.id < b.id ? -1 : 1));
}

function isFound(
  kinds: EntryKindSet,
  job: PastJob,
  words: readonly string[],
  namesOf: (job: PastJob) => string,
): boolean {
  if (words.length === 0) return true;
  const recorded = pastKindsOf(kinds).flatMap((kind) => job[listOf(kind)].map(facetOf(kinds, kind).words));
  const text = [job.number, job.title, job.reason, ...recorded, namesOf(job)].join(' ').toLowerCase();
  return words.every((word) => text.includes(word));
}
