import type { BinId, PartId, PersonId, StoreId, WorkOrderId } from '../../../kernel/ids';
import type { Thousandths } from '../../../kernel/quantity/quantity';
import type { Bin, Part, StockLevel, Store } from '../stock/stock';
import type { Instant } from '../../../kernel/time/instant';
import type { KitPart, WorkOrder } from '../../orders/work/work-order';
import { roundQuantity, type ExactQuantity } from '../../../kernel/quantity/units';
import { kitNeeds } from '../stock/kit';
import { compareByWalk, type Whereabouts } from '../stock/walking-order';

/** What somebody takes along: the chosen work orders, with whom it is shared, and what is in the bag. A person has one. */
export interface KitList {
  /** The owner's id. */
  readonly id: PersonId;
  readonly workOrderIds: readonly WorkOrderId[];
  readonly sharedWith: readonly PersonId[];
  /** By the key of a line: who put it into the bag, and when. */
  readonly inBag: Readonly<Record<string, { readonly by: PersonId; readonly at: Instant }>>;
}

/** One part from one bin, for all of the chosen jobs. */
export interface KitListPart {
  readonly key: string;
  readonly partId: PartId;
  readonly binId: BinId;
  readonly storeId: StoreId | null;
  /** In `unit`. */
  readonly needed: Thousandths;
  /** The part's own unit, or the planned one where that does not convert to it. */
  readonly unit: string;
  /** Null where it cannot be compared, because the units measure different things. */
  readonly onHand: Thousandths | null;
  readonly short: Thousandths;
  readonly workOrderIds: readonly WorkOrderId[];
  /** Where else there is some, the same store first, then the fullest bin. */
  readonly elsewhere: readonly { readonly binId: BinId; readonly onHand: Thousandths }[];
}

export interface KitListTool {
  readonly key: string;
  readonly name: string;
  /** The most that one of the jobs needs: tools come back from one job to the next. */
  readonly count: number;
  readonly workOrderIds: readonly WorkOrderId[];
}

export interface KitListRows {
  readonly parts: ReadonlyMap<string, Part>;
  readonly bins: ReadonlyMap<string, Bin>;
  readonly stores: ReadonlyMap<string, Store>;
  readonly levels: readonly StockLevel[];
  /** What was used of a part on a work order, in the part's unit. */
  readonly usedOf: (workOrderId: WorkOrderId, partId: PartId) => Thousandths;
}

/**
 * Every part that the jobs still need, added up by bin: what is short first, then in walking order, which is by store and
 * by the label of the bin. Amounts in units that do not convert stand on lines of their own.
 */
export function kitListParts(works: readonly WorkOrder[], rows: KitListRows): KitListPart[] {
  const lines = new Map<string, { planned: KitPart; unit: string; exact: ExactQuantity; ids: Set<WorkOrderId> }>();
  for (const work of works) {
    const needs = kitNeeds(
      work.kit,
      (partId) => rows.usedOf(work.id, partId),
      (partId) => rows.parts.get(partId),
    );
    for (const { planned, quantity, unit, exactLeft } of needs) {
      const exact = exactLeft ?? { above: BigInt(quantity), below: 1n };
      if (exact.above === 0n) continue;
      const key = `${planned.partId}@${planned.binId}@${unit}`;
      const line = lines.get(key) ?? { planned, unit, exact: { above: 0n, below: exact.below }, ids: new Set() };
      const above = line.exact.above + exact.above;
      lines.set(key, { ...line, exact: { above, below: exact.below }, ids: line.ids.add(work.id) });
    }
  }
  const levelsOf = new Map<string, StockLevel[]>();
  for (const level of rows.levels) levelsOf.set(level.partId, [...(levelsOf.get(level.partId) ?? []), level]);
  const found = [...lines].map(([key, { planned, unit, exact, ids }]): KitListPart => {
    const needed = roundQuantity(exact);
    const levels = levelsOf.get(planned.partId) ?? [];
    const storeId = rows.bins.get(planned.binId)?.storeId ?? null;
    const isComparable = unit === rows.parts.get(planned.partId)?.unit;
    const onHand = isComparable ? (levels.find(({ binId }) => binId === planned.binId)?.onHand ?? 0) : null;
    const isNear = (binId: BinId): number => Number(rows.bins.get(binId)?.storeId === storeId);
    return {
      key,
      partId: planned.partId,
      binId: planned.binId,
      storeId,
      needed,
      unit,
      onHand,
      short: onHand === null ? 0 : Math.max(0, needed - Math.max(0, onHand)),
      workOrderIds: [...ids],
      elsewhere: levels
        .filter(({ binId, onHand: there }) => binId !== planned.binId && there > 0)
        .sort((a, b) => isNear(b.binId) - isNear(a.binId) || b.onHand - a.onHand)
        .map(({ binId, onHand: there }) => ({ binId, onHand: there })),
    };
  });
  const whereOf = (line: KitListPart): Whereabouts => ({
    // A line of a store that is not known here still stands with the others of that store.
    store: rows.stores.get(line.storeId ?? '') ?? (line.storeId === null ? undefined : { id: line.storeId, name: '' }),
    bin: rows.bins.get(line.binId),
  });
  return found.sort(
    (a, b) =>
      Number(b.short > 0) - Number(a.short > 0) || compareByWalk(whereOf(a), whereOf(b)) || (a.key < b.key ? -1 : 1),
  );
}

const byName = new Intl.Collator('en', { numeric: true });

/** Every tool that the jobs need, by name. */
export function kitListTools(works: readonly WorkOrder[]): KitListTool[] {
  const tools = new Map<string, KitListTool>();
  for (const work of works) {
    for (const [key, { name, count }] of toolsOf(work)) {
      const before = tools.get(key);
      tools.set(key, {
        key,
        name: before?.name ?? name,
        count: Math.max(before?.count ?? 0, count),
        workOrderIds: [...(before?.workOrderIds ?? []), work.id],
      });
    }
  }
  return [...tools.values()].sort((a, b) => byName.compare(a.name, b.name));
}

/** What one job needs of each tool: one that it lists twice is needed as often as both lines say. */
function toolsOf(work: WorkOrder): ReadonlyMap<string, { readonly name: string; readonly count: number }> {
  const needed = new Map<string, { name: string; count: number }>();
  for (const { name, count } of work.tools) {
    const key = `tool ${name.trim().toLowerCase()}`;
    const before = needed.get(key);
    needed.set(key, { name: before?.name ?? name.trim(), count: (before?.count ?? 0) + count });
  }
  return needed;
}
