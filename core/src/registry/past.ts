import type { Entry } from '../subjects/orders/work/entries';
import type { WorkOrder } from '../subjects/orders/work/work-order';
import {
  countEventsOf,
  eventKindsOf,
  recordedOnJob,
  wantedEventsOf,
  type PastEvent,
  type PastEventKind,
  type PastFilter,
} from '../subjects/past/past/past-events';
import { summariseAll, type PastJob, type StopMachine } from '../subjects/past/past/past-job';
import { entryKinds } from './entries';

/** The kinds of event that a past is made of, in their order. */
export const pastEventKinds: readonly PastEventKind[] = eventKindsOf(entryKinds);

/** Raised whenever a `PastJob` says something else of the same work without keeping another kind of entry. */
const SUMMARY_VERSION = 5;

/** Names what a `PastJob` holds: what was summarised under another name is summarised anew. */
export const PAST_CONTENT = [SUMMARY_VERSION, ...pastEventKinds].join(' ');

/** Summarises a work order and what was recorded on it: one summary, and of a round one for every machine of which it keeps anything. */
export function pastJobsOf(work: WorkOrder, entries: readonly Entry[], machines: readonly StopMachine[]): PastJob[] {
  return summariseAll(entryKinds, work, entries, machines);
}

/** How many events of each kind there are in these jobs. */
export function countEvents(jobs: readonly PastJob[]): Readonly<Record<PastEventKind, number>> {
  return countEventsOf(entryKinds, jobs);
}

/** What was recorded on one job, kind by kind. */
export function recordedOn(job: PastJob): ReturnType<typeof recordedOnJob> {
  return recordedOnJob(entryKinds, job);
}

/** The wanted events, newest first; see `wantedEventsOf`. */
export function wantedEvents(
  jobs: readonly PastJob[],
  filter: PastFilter,
  namesOf?: (job: PastJob) => string,
): PastEvent[] {
  return wantedEventsOf(entryKinds, jobs, filter, namesOf);
}
