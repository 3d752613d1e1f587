import type { BinId, PartId, PersonId, StoreId, WorkOrderId } from '../ids/ids';
import type { Thousandths } from '../quantity/quantity';
import type { Bin, Part, StockLevel, Store } from '../stock/stock';
import type { Instant } from '../time/instant';
import type { KitPart, WorkOrder } from '../work/work-order';
import { kitNeeds } from './kit';

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
  const lines = new Map<string, { planned: KitPart; unit: string; needed: Thousandths; ids: Set<WorkOrderId> }>();
  for (const work of works) {
    const needs = kitNeeds(
      work.kit,
      (partId) => rows.usedOf(work.id, partId),
      (partId) => rows.parts.get(partId),
    );
    for (const { planned, quantity, unit, left } of needs) {
      const needed = left ?? quantity;
      if (needed === 0) continue;
      const key = `${planned.partId}@${planned.binId}@${unit}`;
      const line = lines.get(key) ?? { planned, unit, needed: 0, ids: new Set() };
      lines.set(key, { ...line, needed: line.needed + needed, ids: line.ids.add(work.id) });
    }
  }
  const levelsOf = new Map<string, StockLevel[]>();
  for (const level of rows.levels) levelsOf.set(level.partId, [...(levelsOf.get(level.partId) ?? []), level]);
  const found = [...lines].map(([key, { planned, unit, needed, ids }]): KitListPart => {
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
  const place = (line: KitListPart): string =>
    `${rows.stores.get(line.storeId ?? '')?.name ?? ''} ${rows.bins.get(line.binId)?.label ?? ''}`;
  return found.sort(
    (a, b) =>
      Number(b.short > 0) - Number(a.short > 0) ||
      inWalkingOrder.compare(place(a), place(b)) ||
      (a.key < b.key ? -1 : 1),
  );
}

/** Bin C-4 before C-10. */
const inWalkingOrder = new Intl.Collator('en', { numeric: true });

/** Every tool that the jobs need, by name. */
export function kitListTools(works: readonly WorkOrder[]): KitListTool[] {
  const tools = new Map<string, KitListTool>();
  for (const work of works) {
    for (const { name, count } of work.tools) {
      const key = `tool ${name.trim().toLowerCase()}`;
      const before = tools.get(key);
      tools.set(key, {
        key,
        name: before?.name ?? name.trim(),
        count: Math.max(before?.count ?? 0, count),
        workOrderIds: [...(before?.workOrderIds ?? []), work.id],
      });
    }
  }
  return [...tools.values()].sort((a, b) => inWalkingOrder.compare(a.name, b.name));
}
