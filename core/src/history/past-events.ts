import type { PartId, PointId } from '../ids/ids';
import type { Thousandths } from '../quantity/quantity';
import type { ReadingLevel } from '../readings/limits';
import type { Instant } from '../time/instant';
import { isOpen } from '../work/states';
import type { PastJob } from './past-job';

/** The kinds of event that a past is made of. */
export const pastEventKinds = ['work', 'fault', 'part', 'stoppage', 'reading', 'note'] as const;
export type PastEventKind = (typeof pastEventKinds)[number];

/** One thing that happened, with the job that it belongs to. */
export type PastEvent = {
  /** Its own within a past. */
  readonly id: string;
  readonly at: Instant;
  readonly job: PastJob;
} & (
  | { readonly kind: 'work' }
  | { readonly kind: 'fault'; readonly fault: PastJob['faults'][number] }
  | { readonly kind: 'part'; readonly partId: PartId; readonly quantity: Thousandths }
  | { readonly kind: 'stoppage'; readonly stoppage: PastJob['stoppages'][number] }
  | { readonly kind: 'reading'; readonly pointId: PointId; readonly value: number; readonly level: ReadingLevel }
  | { readonly kind: 'note'; readonly text: string }
);

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

/** How many events of each kind there are in these jobs. */
export function countEvents(jobs: readonly PastJob[]): Readonly<Record<PastEventKind, number>> {
  const counts = { work: jobs.length, fault: 0, part: 0, stoppage: 0, reading: 0, note: 0 };
  for (const { faults, parts, stoppages, readings, notes } of jobs) {
    counts.fault += faults.length;
    counts.part += parts.length;
    counts.stoppage += stoppages.length;
    counts.reading += readings.length;
    counts.note += notes.length;
  }
  return counts;
}

/** The events of one kind in these jobs, in the order of the jobs. */
function eventsOf(jobs: readonly PastJob[], kind: PastEventKind): PastEvent[] {
  return jobs.flatMap((job) => ofJob(job, kind));
}

function ofJob(job: PastJob, kind: PastEventKind): PastEvent[] {
  const id = (index: number): string => `${job.id} ${kind} ${index}`;
  const end = job.endedAt ?? job.at;
  switch (kind) {
    case 'work':
      return [{ kind, id: job.id, at: job.at, job }];
    case 'fault':
      return job.faults.map((fault, index) => ({ kind, id: id(index), at: job.at, job, fault }));
    case 'part':
      return job.parts.map((part, index) => ({ kind, id: id(index), at: end, job, ...part }));
    case 'stoppage':
      return job.stoppages.map((stoppage, index) => ({ kind, id: id(index), at: stoppage.from, job, stoppage }));
    case 'reading':
      return job.readings.map((reading, index) => ({ kind, id: id(index), job, ...reading }));
    case 'note':
      return job.notes.map((text, index) => ({ kind, id: id(index), at: end, job, text }));
  }
}

/** What was recorded on one job, kind by kind: its faults first, its notes last. Kinds of which there is nothing are left out. */
export function recordedOn(job: PastJob): { readonly kind: PastEventKind; readonly events: readonly PastEvent[] }[] {
  return pastEventKinds
    .filter((kind) => kind !== 'work')
    .map((kind) => ({ kind, events: ofJob(job, kind) }))
    .filter(({ events }) => events.length > 0);
}

/**
 * The wanted events, newest first.
 *
 * @param namesOf further words by which a job is found, such as the names of its parts
 */
export function wantedEvents(
  jobs: readonly PastJob[],
  filter: PastFilter,
  namesOf: (job: PastJob) => string = () => '',
): PastEvent[] {
  const words = filter.words.toLowerCase().split(/\s+/).filter(Boolean);
  const wanted = jobs.filter(
    (job) =>
      (filter.jobs === null || filter.jobs.has(job.id)) &&
      (filter.state === 'all' || (filter.state === 'open') === isOpen(job.state)) &&
      isFound(job, words, namesOf),
  );
  const { since, pointId } = filter;
  return eventsOf(wanted, filter.kind)
    .filter(({ at }) => since === null || at >= since)
    .filter((event) => pointId === null || event.kind !== 'reading' || event.pointId === pointId)
    .sort((a, b) => (a.at < b.at ? 1 : a.at > b.at ? -1 : a.id < b.id ? -1 : 1));
}

function isFound(job: PastJob, words: readonly string[], namesOf: (job: PastJob) => string): boolean {
  if (words.length === 0) return true;
  const components = job.faults.map(({ component, mode }) => `${component} ${mode}`).join(' ');
  const text = [job.number, job.title, job.reason, components, ...job.notes, namesOf(job)].join(' ').toLowerCase();
  return words.every((word) => text.includes(word));
}
