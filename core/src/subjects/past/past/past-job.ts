import type { AssetId, PlaceId, WorkOrderId } from '../../../kernel/ids';
import { addMinutes, type Instant } from '../../../kernel/time/instant';
import { currentOf, type Entry, type EntryOf } from '../../orders/work/entries';
import type { EntryKindSet, PastKept, PastKind } from '../../orders/work/entry-kinds';
import { jobSaidNone, type NoneOfJob } from '../../recording/none/none';
import { isOpen } from '../../orders/work/states';
import { performedAt, type WorkKind, type WorkOrder, type WorkState } from '../../orders/work/work-order';
import { chainBefore } from '../../orders/work/chain';
import { coveredMinutes } from './intervals';

/** What is kept of each kind of entry, under the plural of its kind: `faults`, `parts`, `notes`. */
export type PastLists = { readonly [K in PastKind as `${K}s`]: readonly PastKept[K][] };

/**
 * One work order summarised to what its past is asked for: the list, the statistics, and what it usually takes; or what a round
 * recorded at one of its stops.
 */
export interface PastJob extends PastLists {
  readonly id: WorkOrderId;
  readonly number: string;
  readonly assetId: AssetId;
  readonly placeId: PlaceId;
  readonly kind: WorkKind;
  readonly tradeId: string;
  readonly state: WorkState;
  readonly title: string;
  readonly reason: string;
  /** The work order that led to it; absent where none did. */
  readonly cameFrom?: WorkOrderId;
  /** It is what a round recorded at one machine: that is no job of the machine's, and the round has a summary of its own. */
  readonly atStop?: true;
  /** When it came up: the beginning of the first unplanned stoppage, else when the work order was made. */
  readonly at: Instant;
  /** When the work was done; null while it is open. */
  readonly endedAt: Instant | null;
  /** Minutes in which at least one person worked on it (ISO 14224: active maintenance time). */
  readonly activeMinutes: number;
  /** Of what somebody said that there was none. Where nothing is kept of a part or a stoppage and it is not here, nobody said. */
  readonly saidNone: readonly NoneOfJob[];
}

/** The name under which a past keeps what was recorded of a kind. */
export function listOf<K extends PastKind>(kind: K): `${K}s` {
  return `${kind}s`;
}

/** The kinds of entry of which a past keeps something, in the order in which they are registered. */
export function pastKindsOf(kinds: EntryKindSet): PastKind[] {
  return (Object.keys(kinds) as (keyof EntryKindSet)[]).filter((kind): kind is PastKind => kinds[kind].past !== null);
}

/** Summarises a work order and what was recorded on it. Entries may come in any order. */
export function summarise(kinds: EntryKindSet, work: WorkOrder, entries: readonly Entry[]): PastJob {
  const kept = Object.fromEntries(pastKindsOf(kinds).map((kind) => [listOf(kind), keptOf(kinds, kind, entries)]));
  const lists = kept as unknown as PastLists;
  const ended = performedAt(work);
  const began = lists.stoppages.filter(({ isPlanned }) => !isPlanned).map(({ from }) => from);
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
    ...(work.cameFrom === null ? {} : { cameFrom: work.cameFrom }),
    at: [work.createdAt, ...began, ...(ended === null ? [] : [ended])].sort()[0] ?? work.createdAt,
    endedAt: ended,
    activeMinutes: activeMinutesOf(entries),
    saidNone: jobSaidNone(entries),
    ...lists,
  };
}

/** A machine at a stop of a round. */
export interface StopMachine {
  readonly id: AssetId;
  readonly placeId: PlaceId;
}

/**
 * Summarises a work order, and of a round each machine at its stops of which anything is kept, so that it is in the past of
 * that machine. What is in one of these summaries is in no other.
 */
export function summariseAll(
  kinds: EntryKindSet,
  work: WorkOrder,
  entries: readonly Entry[],
  machines: readonly StopMachine[],
): PastJob[] {
  const atStops = machines.filter(({ id }) => id !== work.assetId);
  const elsewhere = new Set(atStops.map(({ id }) => id));
  const whole = summarise(
    kinds,
    work,
    entries.filter(({ assetId }) => !elsewhere.has(assetId)),
  );
  const ofStops = atStops.flatMap(({ id, placeId }): PastJob[] => {
    const there = entries.filter(({ assetId }) => assetId === id);
    if (there.length === 0) return [];
    const job = summarise(kinds, { ...work, assetId: id, placeId }, there);
    return pastKindsOf(kinds).some((kind) => job[listOf(kind)].length > 0) ? [{ ...job, atStop: true }] : [];
  });
  return [whole, ...ofStops];
}

function keptOf<K extends PastKind>(kinds: EntryKindSet, kind: K, entries: readonly Entry[]): readonly PastKept[K][] {
  const { past } = kinds[kind];
  // A kind that is in `PastKept` has this facet: its type says so, which is lost where the kind may be any.
  const { keep } = past as unknown as { keep: (entries: readonly EntryOf<K>[]) => readonly PastKept[K][] };
  return keep(inOrder(currentOf(entries, kind)));
}

function inOrder<T extends { readonly at: Instant }>(entries: readonly T[]): T[] {
  return [...entries].sort((a, b) => (a.at < b.at ? -1 : a.at > b.at ? 1 : 0));
}

function activeMinutesOf(entries: readonly Entry[]): number {
  const worked = currentOf(entries, 'labor')
    .filter(({ content }) => content.timeType !== 'travel')
    .map(({ content: { startedAt, minutes } }) => ({ from: startedAt, to: addMinutes(startedAt, minutes) }));
  const from = worked.map((each) => each.from).sort()[0];
  const to = worked
    .map((each) => each.to)
    .sort()
    .at(-1);
  return from === undefined || to === undefined ? 0 : coveredMinutes(worked, { from, to });
}

/** What a past keeps by which a failure is known. */
export type MaybeFailure = Pick<PastJob, 'kind' | 'state' | 'saidNone' | 'faults' | 'stoppages'>;

/**
 * Whether it tells of a failure: the loss of what a machine is to do (ISO 14224:2016, 3.23; from memory). Corrective work that nobody has
 * begun, that was dropped, or of which somebody says that there was no failure, tells of none; while it goes on, a coded fault or an
 * unplanned stoppage does.
 */
export function isFailure({ kind, state, saidNone, faults, stoppages }: MaybeFailure): boolean {
  if (kind !== 'corrective' || state === 'dropped' || saidNone.includes('fault')) return false;
  if (!isOpen(state)) return true;
  return faults.length > 0 || stoppages.some(({ isPlanned }) => !isPlanned);
}

/**
 * The failures that are problems of their own: a repair that came from the repair of another failure was the same problem once
 * more, and is not counted again.
 */
export function problemsAmong<J extends MaybeFailure & Pick<PastJob, 'id' | 'cameFrom'>>(jobs: readonly J[]): J[] {
  const known = new Map(jobs.map((job) => [job.id, job]));
  return jobs.filter(
    (job) => isFailure(job) && !chainBefore(job, (id) => known.get(id)).some((before) => isFailure(before)),
  );
}
