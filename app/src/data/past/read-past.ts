import type { AssetId, Instant } from '@oilcan/core/kernel';
import type { Findings, Fix, JobLike, PastJob, StopMachine, Usual } from '@oilcan/core/past/past';
import type { MeasuringPoint } from '@oilcan/core/plant/plant';
import type { Change } from '@oilcan/core/steps/readings';
import type { Entry, WorkOrder } from '@oilcan/core/orders/work';

/** An open work order that belongs to a past, or a round of which a stop does. */
export interface OpenOfPast {
  readonly work: WorkOrder;
  readonly entries: readonly Entry[];
  /** The machines at its stops. */
  readonly machines: readonly StopMachine[];
  /** Those of its machines whose past it is. */
  readonly wanted: readonly AssetId[];
}

/** What the worker is asked. */
export interface PastQuestion {
  /** A `PastAnswer` in JSON. */
  readonly text: string;
  /** Open work of this past as this phone has it, with what is recorded on it here. */
  readonly open: readonly OpenOfPast[];
  /** Calendar date; null when several assets are looked at. */
  readonly inServiceSince: string | null;
  /** The job for which the usual is wanted. */
  readonly like: JobLike | null;
  /** The measuring points of which it is asked whether they are changing. */
  readonly points: readonly Pick<MeasuringPoint, 'id' | 'limits' | 'isMeter'>[];
  readonly now: Instant;
}

/** What a past says. */
export interface PastSaid {
  readonly findings: Findings;
  readonly usual: Usual | null;
  /** What fixed it the last times, newest first. */
  readonly fixes: readonly Fix[];
  /** What there is to say of each measuring point that was asked for, by its id. */
  readonly changes: Readonly<Record<string, Change>>;
  readonly asOf: Instant;
  /** There is more before this, which did not come along. */
  readonly cutAt: Instant | null;
}

/** What it is made of. */
export interface ReadRows {
  /** In no order. */
  readonly jobs: readonly PastJob[];
  readonly modes: readonly { readonly mode: string; readonly jobs: readonly PastJob[] }[];
}

export type ReadPast = PastSaid & ReadRows;

/** A worker that has started already, for the next past that is read. */
let spare: Worker | null = null;

const startWorker = (): Worker => new Worker('/workers/past.js');

/** Lets the worker start while what it will read is still on its way. */
export function prepareToRead(): void {
  if (spare !== null) return;
  const started = startWorker();
  // One that could not start is not waited for.
  started.addEventListener('error', () => {
    if (spare === started) spare = null;
  });
  spare = started;
}

/**
 * Reads a past in a worker of its own, so that thousands of events do not hold up the screen. It tells first what the past
 * says, and then, since thousands of rows take a while to come over, the whole of it; null for what is damaged.
 */
export function readPast(question: PastQuestion, onRead: (past: PastSaid | ReadPast | null) => void): void {
  const worker = spare ?? startWorker();
  spare = null;
  let said: PastSaid | null = null;
  worker.addEventListener('message', ({ data }: MessageEvent<PastSaid | ReadRows | null>) => {
    if (data !== null && 'findings' in data) {
      said = data;
      return onRead(said);
    }
    worker.terminate();
    onRead(data === null || said === null ? null : { ...said, ...data });
  });
  worker.addEventListener('error', () => {
    worker.terminate();
    onRead(null);
  });
  worker.postMessage(question);
}
