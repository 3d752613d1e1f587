import type { AssetId, PartId, PlaceId, PointId, WorkOrderId } from '../ids/ids';
import type { Thousandths } from '../quantity/quantity';
import type { ReadingLevel } from '../readings/limits';
import { addMinutes, type Instant } from '../time/instant';
import { standingOf, type Entry, type FaultContent, type StoppageContent } from '../work/entries';
import { doneAt, type WorkKind, type WorkOrder, type WorkState } from '../work/work-order';
import { coveredMinutes } from './intervals';

/** One work order boiled down to what its past is asked for: the list, the statistics, and what it usually takes. */
export interface PastJob {
  readonly id: WorkOrderId;
  readonly number: string;
  readonly assetId: AssetId;
  readonly placeId: PlaceId;
  readonly kind: WorkKind;
  readonly tradeId: string;
  readonly state: WorkState;
  readonly title: string;
  readonly reason: string;
  /** When it came up: the beginning of the first unplanned stoppage, else when the work order was made. */
  readonly at: Instant;
  /** When it left the open work; null while it is open. */
  readonly endedAt: Instant | null;
  /** Minutes in which at least one person worked on it (ISO 14224: active maintenance time). */
  readonly activeMinutes: number;
  readonly faults: readonly Omit<FaultContent, 'kind' | 'text'>[];
  /** Added up by part. */
  readonly parts: readonly { readonly partId: PartId; readonly quantity: Thousandths }[];
  readonly stoppages: readonly Omit<StoppageContent, 'kind'>[];
  readonly readings: readonly {
    readonly pointId: PointId;
    readonly at: Instant;
    readonly value: number;
    readonly level: ReadingLevel;
  }[];
  /** What people wrote, oldest first. */
  readonly notes: readonly string[];
}

/** Boils a work order and what was recorded on it down. Entries may come in any order. */
export function pastJobOf(work: WorkOrder, entries: readonly Entry[]): PastJob {
  const stoppages = standingOf(entries, 'stoppage').map(({ content: { from, to, extent, isPlanned } }) => ({
    from,
    to,
    extent,
    isPlanned,
  }));
  const parts = new Map<PartId, Thousandths>();
  for (const { content } of standingOf(entries, 'part'))
    parts.set(content.partId, (parts.get(content.partId) ?? 0) + content.quantity);
  const began = stoppages.filter(({ isPlanned }) => !isPlanned).map(({ from }) => from);
  return {
    id: work.id,
    number: work.number,
    assetId: work.assetId,
    placeId: work.placeId,
    kind: work.kind,
    tradeId: work.tradeId,
    state: work.state,
    title: work.title,
    reason: work.reason,
    at: [work.createdAt, ...began].sort()[0] ?? work.createdAt,
    endedAt: doneAt(work),
    activeMinutes: activeMinutesOf(entries),
    faults: standingOf(entries, 'fault').map(({ content }) => ({
      mode: content.mode,
      mechanism: content.mechanism,
      cause: content.cause,
      detection: content.detection,
      activity: content.activity,
      component: content.component,
    })),
    parts: [...parts].map(([partId, quantity]) => ({ partId, quantity })),
    stoppages,
    readings: inOrder(standingOf(entries, 'reading')).map(({ at, content: { pointId, value, level } }) => ({
      pointId,
      at,
      value,
      level,
    })),
    notes: inOrder(standingOf(entries, 'note')).map(({ content }) => content.text),
  };
}

function inOrder<T extends { readonly at: Instant }>(entries: readonly T[]): T[] {
  return [...entries].sort((a, b) => (a.at < b.at ? -1 : a.at > b.at ? 1 : 0));
}

function activeMinutesOf(entries: readonly Entry[]): number {
  const worked = standingOf(entries, 'labor')
    .filter(({ content }) => content.timeType !== 'travel')
    .map(({ content: { startedAt, minutes } }) => ({ from: startedAt, to: addMinutes(startedAt, minutes) }));
  const from = worked.map((each) => each.from).sort()[0];
  const to = worked
    .map((each) => each.to)
    .sort()
    .at(-1);
  return from === undefined || to === undefined ? 0 : coveredMinutes(worked, { from, to });
}

/** Whether it tells of a failure: corrective work that was not dropped. */
export function isFailure(job: Pick<PastJob, 'kind' | 'state'>): boolean {
  return job.kind === 'corrective' && job.state !== 'dropped';
}
