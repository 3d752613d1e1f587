import type { BinId, PartId } from '../../../kernel/ids';
import type { Thousandths } from '../../../kernel/quantity/quantity';
import { addMinutes, type Instant } from '../../../kernel/time/instant';
import { openAmount, requestState, type StoreRequest } from '../requests/request';
import type { Bin, StockLevel, Store } from '../stock/stock';
import { compareByWalk } from '../stock/walking-order';

/** How soon something that is asked for is needed: it is late or within the hour, today's shift, later, or nobody said. */
export const needGroups = ['now', 'soon', 'later', 'whenever'] as const;
export type NeedGroup = (typeof needGroups)[number];

/** Within so many minutes it is needed now, and within so many in this shift. Common practice. */
const NOW_MINUTES = 60;
const SOON_MINUTES = 8 * 60;

export function needGroup({ neededBy }: Pick<StoreRequest, 'neededBy'>, now: Instant): NeedGroup {
  if (neededBy === null) return 'whenever';
  if (neededBy <= addMinutes(now, NOW_MINUTES)) return 'now';
  return neededBy <= addMinutes(now, SOON_MINUTES) ? 'soon' : 'later';
}

/** One line of the storekeeper's list. */
export interface StoreLine {
  readonly request: StoreRequest;
  readonly group: NeedGroup;
  /** What is still to be given. */
  readonly open: Thousandths;
  /** The bin of its store with most of it; null where the store has none, or nobody knows which part. */
  readonly binId: BinId | null;
  /** What the store has of it in all its bins, by the books. */
  readonly onHand: Thousandths;
  /** What other requests still want of the same from this store. */
  readonly askedByOthers: Thousandths;
  /** What is left on hand when all of them got theirs; below zero where it does not reach. */
  readonly remains: Thousandths;
}

export interface StoreListRows {
  readonly bins: ReadonlyMap<string, Bin>;
  readonly stores: ReadonlyMap<string, Store>;
  readonly levels: readonly StockLevel[];
}

/** What waits for a storekeeper: first what is needed first, of what is needed alike in the order in which the bins are walked by. */
export function storeList(requests: readonly StoreRequest[], rows: StoreListRows, now: Instant): StoreLine[] {
  const waiting = requests.filter((request) => openAmount(request) > 0);
  const keyOf = ({ storeId, partId }: StoreRequest): string => `${storeId}@${partId ?? ''}`;
  const wanted = new Map<string, Thousandths>();
  for (const request of waiting) wanted.set(keyOf(request), (wanted.get(keyOf(request)) ?? 0) + openAmount(request));
  const levelsOf = levelsByPart(rows.levels, new Set(waiting.map(({ partId }) => partId)));
  const lines = waiting.map((request): StoreLine => {
    const inStore = (request.partId === null ? [] : (levelsOf.get(request.partId) ?? [])).filter(
      ({ binId }) => rows.bins.get(binId)?.storeId === request.storeId,
    );
    const [fullest] = [...inStore].sort((a, b) => b.onHand - a.onHand || (a.binId < b.binId ? -1 : 1));
    const onHand = inStore.reduce((sum, level) => sum + level.onHand, 0);
    const open = openAmount(request);
    const all = request.partId === null ? open : (wanted.get(keyOf(request)) ?? open);
    return {
      request,
      group: needGroup(request, now),
      open,
      binId: fullest?.binId ?? null,
      onHand,
      askedByOthers: all - open,
      remains: onHand - all,
    };
  });
  const whereOf = ({ request, binId }: StoreLine) => ({
    store: rows.stores.get(request.storeId),
    bin: rows.bins.get(binId ?? ''),
  });
  return lines.sort(
    (a, b) =>
      needGroups.indexOf(a.group) - needGroups.indexOf(b.group) ||
      // What lies in no bin is looked for first: it takes longest.
      Number(a.binId !== null) - Number(b.binId !== null) ||
      compareByWalk(whereOf(a), whereOf(b)) ||
      (a.request.id < b.request.id ? -1 : 1),
  );
}

/** The levels of some parts: a store holds thousands of which nobody asks for any. */
function levelsByPart(
  levels: readonly StockLevel[],
  parts: ReadonlySet<PartId | null>,
): ReadonlyMap<PartId, readonly StockLevel[]> {
  const found = new Map<PartId, StockLevel[]>();
  for (const level of levels) {
    if (!parts.has(level.partId)) continue;
    const before = found.get(level.partId);
    if (before === undefined) found.set(level.partId, [level]);
    else before.push(level);
  }
  return found;
}

/** What lies ready or is on its way, and was not picked up yet. */
export function toPickUp(requests: readonly StoreRequest[]): StoreRequest[] {
  return requests
    .filter(({ handouts }) => handouts.some(({ receivedAt }) => receivedAt === null))
    .sort((a, b) => (a.askedAt < b.askedAt ? -1 : 1));
}

/** What somebody asked for that is not over: the newest first. */
export function askedBy(requests: readonly StoreRequest[], personId: string): StoreRequest[] {
  return requests
    .filter(
      (request) => request.askedBy === personId && (request.endedAt === null || requestState(request) !== 'withdrawn'),
    )
    .sort((a, b) => (a.askedAt > b.askedAt ? -1 : 1));
}
