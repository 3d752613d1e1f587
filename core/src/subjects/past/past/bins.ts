import type { Instant } from '../../../kernel/time/instant';
import { inZone, type Zone } from '../../../kernel/time/zone';

/** Steps in months that a picture of time is divided into, the finest first. */
const STEPS = [1, 3, 12] as const;
const MOST_BINS = 16;

/** A stretch of calendar months and what fell into it. */
export interface TimeBin<Item> {
  /** First day, `2026-01-01`. */
  readonly from: string;
  readonly months: number;
  readonly items: readonly Item[];
}

/**
 * Sorts what happened in a window into whole calendar months, quarters or years of a zone, whichever is the finest that
 * gives at most 16. Items outside the window are left out.
 */
export function binsOf<Item extends { readonly at: Instant }>(
  items: readonly Item[],
  window: { readonly from: Instant; readonly to: Instant },
  zone: Zone,
): TimeBin<Item>[] {
  const monthOf = (instant: Instant): number => {
    const local = inZone(instant, zone);
    return local.year * 12 + local.month - 1;
  };
  const [first, last] = [monthOf(window.from), monthOf(window.to)];
  const count = (step: number): number => Math.floor(last / step) - Math.floor(first / step) + 1;
  const step = STEPS.find((each) => count(each) <= MOST_BINS) ?? 12;
  const begin = Math.floor(first / step);
  const bins = Array.from({ length: count(step) }, (): Item[] => []);
  for (const item of items) {
    if (item.at >= window.from && item.at <= window.to) bins[Math.floor(monthOf(item.at) / step) - begin]?.push(item);
  }
  return bins.map((inBin, index) => {
    const month = (begin + index) * step;
    const from = `${Math.floor(month / 12)}-${String((month % 12) + 1).padStart(2, '0')}-01`;
    return { from, months: step, items: inBin };
  });
}
