import type { Entry, Findings, Instant, JobLike, PastJob, Usual, WorkOrder } from '@oilcan/core';
import { askWorker } from '../ask-worker';

/** What the worker is asked. */
export interface PastQuestion {
  /** A `PastAnswer` in JSON. */
  readonly text: string;
  /** Open work on the asset as this phone has it, with what is recorded on it here. */
  readonly open: readonly { readonly work: WorkOrder; readonly entries: readonly Entry[] }[];
  /** Calendar date; null when several assets are looked at. */
  readonly inServiceSince: string | null;
  /** The job for which the usual is wanted. */
  readonly like: JobLike | null;
  readonly now: Instant;
}

/** A past that was read. */
export interface ReadPast {
  /** In no order. */
  readonly jobs: readonly PastJob[];
  readonly findings: Findings;
  readonly modes: readonly { readonly mode: string; readonly jobs: readonly PastJob[] }[];
  readonly usual: Usual | null;
  readonly asOf: Instant;
  /** There is more before this, which did not come along. */
  readonly cutAt: Instant | null;
}

/** Reads it in a worker of its own, so that thousands of events do not hold up the screen. Null for what is damaged. */
export function readPast(question: PastQuestion): Promise<ReadPast | null> {
  return askWorker<ReadPast>('past', question);
}
