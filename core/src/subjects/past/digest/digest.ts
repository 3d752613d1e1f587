import type { AssetId, PartId, PersonId, WorkOrderId } from '../../../kernel/ids';
import type { Instant } from '../../../kernel/time/instant';
import type { Crew } from '../../plant/people/people';
import type { Asset, AssetCondition } from '../../plant/plant/plant';
import { stockLevelId, type StockLevel } from '../../stores/stock/stock';
import { isAssignedTo } from '../../orders/work/assignment';
import { currentOf, type Entry } from '../../orders/work/entries';
import { isOpen } from '../../orders/work/states';
import type { HandOver, WorkOrder } from '../../orders/work/work-order';

/** One thing that happened while somebody was away; each leads to what it is about. */
export type DigestLine =
  /** Somebody left work of mine with a line for who goes on. */
  | { readonly is: 'handedOver'; readonly at: Instant; readonly work: WorkOrder; readonly handOver: HandOver }
  /** A machine stopped, runs reduced, or runs again. */
  | { readonly is: 'machine'; readonly at: Instant; readonly asset: Asset; readonly condition: AssetCondition }
  /** Others finished work on a machine of my open work. */
  | { readonly is: 'finished'; readonly at: Instant; readonly work: WorkOrder }
  /** A fault was found on a machine of my open work. */
  | { readonly is: 'found'; readonly at: Instant; readonly workOrderId: WorkOrderId; readonly entry: Entry }
  /** Parts came into the bin of a kit of mine. */
  | { readonly is: 'parts'; readonly at: Instant; readonly work: WorkOrder; readonly partIds: readonly PartId[] };

/** What a phone knows, and for whom. */
export interface DigestOf {
  readonly me: PersonId;
  /** What happened since then. */
  readonly since: Instant;
  readonly works: readonly WorkOrder[];
  readonly crews: readonly Crew[];
  readonly assets: readonly Asset[];
  readonly levelOf: (id: string) => StockLevel | undefined;
  /** What was recorded on a machine, as far as it is carried. */
  readonly entriesOn: (assetId: AssetId) => readonly Entry[];
}

const order: Readonly<Record<DigestLine['is'], number>> = {
  handedOver: 0,
  machine: 1,
  finished: 2,
  found: 3,
  parts: 4,
};

/**
 * What changed while somebody was away, as far as it concerns their work: first what was handed over to them, then machines,
 * what was finished and found on machines of their open work, and parts that came for it; each newest first. What they did
 * themselves is not told.
 */
export function digestOf({ me, since, works, crews, assets, levelOf, entriesOn }: DigestOf): DigestLine[] {
  const crewsById = new Map(crews.map((crew) => [crew.id, crew]));
  const mine = works.filter((work) => {
    const crew = work.crewId === null ? undefined : crewsById.get(work.crewId);
    return isOpen(work.state) && isAssignedTo(work, me, crew);
  });
  const myMachines = new Set(mine.map(({ assetId }) => assetId));
  const lines: DigestLine[] = [];
  for (const work of mine) {
    const { handOver } = work;
    if (handOver !== undefined && handOver.by !== me && handOver.since > since)
      lines.push({ is: 'handedOver', at: handOver.at, work, handOver });
    const came = work.kit.flatMap(({ partId, binId }) => {
      const receivedAt = levelOf(stockLevelId(partId, binId))?.receivedAt;
      return receivedAt !== undefined && receivedAt > since ? [{ partId, receivedAt }] : [];
    });
    const newest = came
      .map(({ receivedAt }) => receivedAt)
      .sort()
      .at(-1);
    if (newest !== undefined)
      lines.push({ is: 'parts', at: newest, work, partIds: [...new Set(came.map(({ partId }) => partId))] });
  }
  for (const asset of assets)
    if (asset.conditionSince > since)
      lines.push({ is: 'machine', at: asset.conditionSince, asset, condition: asset.condition });
  for (const work of works) {
    const { finishedAt } = work;
    if (finishedAt !== null && finishedAt > since && work.finishedBy !== me && myMachines.has(work.assetId))
      lines.push({ is: 'finished', at: finishedAt, work });
  }
  for (const assetId of myMachines)
    for (const entry of currentOf(entriesOn(assetId), 'fault'))
      if (entry.at > since && entry.by !== me)
        lines.push({ is: 'found', at: entry.at, workOrderId: entry.workOrderId, entry });
  return lines.sort((a, b) => order[a.is] - order[b.is] || (a.at < b.at ? 1 : a.at > b.at ? -1 : 0));
}
