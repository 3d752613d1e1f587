import { useMemo } from 'react';
import {
  formatQuantity,
  plannedInPartUnit,
  standingOf,
  stockLevelId,
  type BinId,
  type Entry,
  type KitPart,
  type Part,
  type PartId,
  type StockLevel,
  type Thousandths,
  type WorkOrder,
} from '@oilcan/core';
import { peekRow, useRows, useTable } from '../../data/store';

/** One line of a work order's kit: what is planned, what of it was used, what lies in the bin. */
export interface KitLine {
  readonly planned: KitPart;
  readonly used: Thousandths;
  /** What is planned, in the part's unit; as it was planned where the two units do not convert. */
  readonly quantity: Thousandths;
  readonly unit: string;
  /** Planned and not used yet; never below zero. */
  readonly left: Thousandths;
  readonly onHand: Thousandths;
}

export function kitLines(
  kit: readonly KitPart[],
  entries: readonly Entry[],
  levelOf: (id: string) => StockLevel | undefined,
  partOf: (id: string) => Pick<Part, 'unit'> | undefined,
): KitLine[] {
  const used = standingOf(entries, 'part');
  return kit.map((planned) => {
    const taken = used
      .filter(({ content }) => content.partId === planned.partId)
      .reduce((sum, { content }) => sum + content.quantity, 0);
    const onHand = levelOf(stockLevelId(planned.partId, planned.binId))?.onHand ?? 0;
    const part = partOf(planned.partId);
    const inPartUnit = plannedInPartUnit(planned, part);
    const quantity = inPartUnit ?? planned.quantity;
    const unit = (inPartUnit === null ? planned.unit : part?.unit) ?? '';
    return { planned, used: taken, quantity, unit, left: Math.max(0, quantity - taken), onHand };
  });
}

export function useKitLines(work: WorkOrder): readonly KitLine[] {
  const entries = useRows('entries', 'workOrder', work.kit.length === 0 ? undefined : work.id);
  const stock = useTable('stock');
  return useMemo(() => {
    if (work.kit.length === 0) return [];
    const wanted = new Set(work.kit.map((planned) => stockLevelId(planned.partId, planned.binId)));
    const levels = new Map(stock.filter((level) => wanted.has(level.id)).map((level) => [level.id, level]));
    return kitLines(
      work.kit,
      entries,
      (id) => levels.get(id),
      (id) => peekRow('parts', id),
    );
  }, [work.kit, entries, stock]);
}

/** Whether the parts are there, in a few words; null when none are planned. */
export function useKitStanding(work: WorkOrder): { readonly words: string; readonly isShort: boolean } | null {
  const lines = useKitLines(work);
  if (lines.length === 0) return null;
  const there = lines.filter((line) => line.left <= line.onHand).length;
  return there === lines.length
    ? { words: 'Kit in stock', isShort: false }
    : { words: `Kit ${there} of ${lines.length}`, isShort: true };
}

/** `4 L`, `1 pcs`. */
export function amountOf(quantity: Thousandths, part: Pick<Part, 'unit'> | undefined): string {
  return `${formatQuantity(quantity)} ${part?.unit ?? ''}`.trim();
}

/** Where a part lies and how much of it, fullest bin first. */
export function useStockOf(
  partId: PartId | undefined,
): readonly { readonly binId: BinId; readonly onHand: Thousandths }[] {
  const levels = useRows('stock', 'part', partId);
  return useMemo(
    () => [...levels].sort((a, b) => b.onHand - a.onHand).map(({ binId, onHand }) => ({ binId, onHand })),
    [levels],
  );
}
