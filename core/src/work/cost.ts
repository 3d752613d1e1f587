import { scaleAmount, sumsByCurrency, type Money } from '../money/money';
import type { Thousandths } from '../quantity/quantity';
import { standingOf, type Entry, type LaborRate, type TimeType, type UnitPrice } from './entries';

/**
 * What so many minutes cost at a rate, rounded once to the smallest currency unit; travel is paid like regular time
 * (common practice).
 */
export function laborCost(minutes: number, timeType: TimeType, rate: LaborRate): Money {
  const percent = timeType === 'overtime' ? rate.overtimePercent : 100;
  return scaleAmount([rate.minorPerHour, minutes, percent], 60 * 100, rate.currency);
}

/** What an amount of a part costs at a price for one unit. */
export function partCost(quantity: Thousandths, unitPrice: UnitPrice): Money {
  return scaleAmount([unitPrice.minor, quantity], 1000, unitPrice.currency);
}

/** What a work order cost. Amounts of different currencies are never added: there is one sum of each. */
export interface WorkCost {
  readonly laborMinutes: number;
  /** Null where somebody's time has no cost that one may see. */
  readonly labor: readonly Money[] | null;
  readonly parts: readonly Money[];
  /** Of time and parts, or of parts alone where the cost of time may not be seen. */
  readonly total: readonly Money[];
}

/** What a work order cost, from its standing entries. */
export function costOf(entries: readonly Entry[]): WorkCost {
  const labor = standingOf(entries, 'labor').map((entry) => entry.content);
  const costs = labor.flatMap(({ cost }) => cost ?? []);
  const laborSums = costs.length < labor.length ? null : sumsByCurrency(costs);
  const parts = sumsByCurrency(standingOf(entries, 'part').map((entry) => entry.content.cost));
  return {
    laborMinutes: labor.reduce((sum, content) => sum + content.minutes, 0),
    labor: laborSums,
    parts,
    total: sumsByCurrency([...(laborSums ?? []), ...parts]),
  };
}
