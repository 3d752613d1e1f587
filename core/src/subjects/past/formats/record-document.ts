import type { Instant } from '../../../kernel/time/instant';
import type { Asset, MeasuringPoint, Place } from '../../plant/plant/plant';
import type { Person } from '../../plant/people/people';
import type { Part } from '../../stores/stock/stock';
import type { Step } from '../../steps/steps/step';
import { currentEntries, type Entry } from '../../orders/work/entries';
import type { WorkOrder } from '../../orders/work/work-order';

/** Raised when a reader of documents of before could not read those of now. */
export const RECORD_VERSION = 1;

/** What a document is made of, as far as whoever makes it may see it. */
export interface RecordSource {
  readonly work: WorkOrder;
  readonly steps: readonly Step[];
  readonly entries: readonly Entry[];
  readonly led: readonly WorkOrder[];
  readonly cameFrom: WorkOrder | undefined;
  readonly asset: (id: string) => Asset | undefined;
  readonly place: (id: string) => Place | undefined;
  readonly person: (id: string) => Person | undefined;
  readonly part: (id: string) => Part | undefined;
  readonly point: (id: string) => MeasuringPoint | undefined;
  readonly madeAt: Instant;
}

/** A work order and its record as an open document, which `docs/record.schema.json` describes. */
export interface RecordDocument {
  readonly format: 'oilcan-record';
  readonly version: typeof RECORD_VERSION;
  readonly madeAt: Instant;
  readonly workOrder: Readonly<Record<string, unknown>>;
  readonly steps: readonly Readonly<Record<string, unknown>>[];
  /** In the order of time, those that were amended too. */
  readonly entries: readonly Readonly<Record<string, unknown>>[];
  /** What the ids in the entries stand for. */
  readonly names: {
    readonly people: Readonly<Record<string, string>>;
    readonly assets: Readonly<Record<string, { readonly tag: string; readonly name: string }>>;
    readonly parts: Readonly<Record<string, { readonly number: string; readonly name: string; readonly unit: string }>>;
    readonly points: Readonly<Record<string, { readonly name: string; readonly unit: string }>>;
  };
}

export function recordDocument(source: RecordSource): RecordDocument {
  const { work, steps, led, cameFrom, madeAt } = source;
  const entries = [...source.entries].sort((a, b) => (a.at < b.at ? -1 : a.at > b.at ? 1 : a.id < b.id ? -1 : 1));
  const standing = new Set(currentEntries(entries).map(({ id }) => id));
  const asset = source.asset(work.assetId);
  return {
    format: 'oilcan-record',
    version: RECORD_VERSION,
    madeAt,
    workOrder: {
      number: work.number,
      title: work.title,
      reason: work.reason,
      kind: work.kind,
      urgency: work.urgency,
      state: work.state,
      trade: work.tradeId,
      asset: { tag: asset?.tag ?? '', name: asset?.name ?? '', equipmentClass: asset?.equipmentClass ?? '' },
      place: source.place(work.placeId)?.name ?? '',
      estimateMinutes: work.estimateMinutes,
      createdAt: work.createdAt,
      dueAt: work.dueAt,
      startedAt: work.startedAt,
      finishedAt: work.finishedAt,
      finishedBy: work.finishedBy === null ? null : (source.person(work.finishedBy)?.name ?? ''),
      closedAt: work.closedAt,
      cameFrom: cameFrom?.number ?? null,
      ledTo: led.map(({ number }) => number).sort(),
    },
    steps: [...steps]
      .sort((a, b) => a.position - b.position || (a.id < b.id ? -1 : 1))
      .map(({ id, parentId, text, question, answer }) => ({
        id,
        parentId,
        text,
        type: question.type,
        answer: answer === null ? null : answer.value,
        answeredAt: answer?.at ?? null,
      })),
    entries: entries.map(({ id, at, by, amends, assetId, content }) => ({
      id,
      at,
      by,
      amends,
      asset: assetId,
      stands: standing.has(id),
      content,
    })),
    names: namesIn(entries, source),
  };
}

function namesIn(entries: readonly Entry[], source: RecordSource): RecordDocument['names'] {
  const ids = (name: string): string[] => {
    const found = entries.flatMap(({ content }) => {
      const id = (content as unknown as Readonly<Record<string, unknown>>)[name];
      return typeof id === 'string' ? [id] : [];
    });
    return [...new Set(found)].sort();
  };
  const named = <T>(of: readonly string[], name: (id: string) => T | undefined): Record<string, T> =>
    Object.fromEntries(
      of.flatMap((id): [string, T][] => {
        const found = name(id);
        return found === undefined ? [] : [[id, found]];
      }),
    );
  const people = [...new Set([...entries.map(({ by }) => by), ...ids('personId')])].sort();
  const assets = [...new Set(entries.map(({ assetId }) => assetId))].sort();
  return {
    people: named(people, (id) => source.person(id)?.name),
    assets: named(assets, (id) => {
      const found = source.asset(id);
      return found === undefined ? undefined : { tag: found.tag, name: found.name };
    }),
    parts: named(ids('partId'), (id) => {
      const found = source.part(id);
      return found === undefined ? undefined : { number: found.number, name: found.name, unit: found.unit };
    }),
    points: named(ids('pointId'), (id) => {
      const found = source.point(id);
      return found === undefined ? undefined : { name: found.name, unit: found.unit };
    }),
  };
}
