import { money, scaleMoney, sumMoney, type Money } from '../money/money';
import type { Thousandths } from '../quantity/quantity';
import type { Settings } from '../settings/settings';
import { standingOf, type Entry, type TimeType } from './entries';

/**
 * What so many minutes of a craft cost, rounded once to the smallest currency unit.
 * An unknown craft costs nothing; travel is paid like regular time (common practice).
 */
export function laborCost(minutes: number, craftId: string, timeType: TimeType, settings: Settings): Money {
  const rate = settings.crafts.find((craft) => craft.id === craftId)?.rateMinorPerHour ?? 0;
  const percent = timeType === 'overtime' ? settings.overtimePercent : 100;
  return scaleMoney(money(rate, settings.currency), minutes * percent, 60 * 100);
}

/** What an amount of a part costs at a price for one unit. */
export function partCost(quantity: Thousandths, priceMinor: number, currency: string): Money {
  return scaleMoney(money(priceMinor, currency), quantity, 1000);
}

export interface WorkCost {
  readonly laborMinutes: number;
  readonly labor: Money;
  readonly parts: Money;
  readonly total: Money;
}

/** What a work order cost, from its standing entries. */
export function costOf(entries: readonly Entry[], currency: string): WorkCost {
  const labor = standingOf(entries, 'labor').map((entry) => entry.content);
  const laborSum = sumMoney(
    labor.map((content) => content.cost),
    currency,
  );
  const parts = sumMoney(
    standingOf(entries, 'part').map((entry) => entry.content.cost),
    currency,
  );
  return {
    laborMinutes: labor.reduce((sum, content) => sum + content.minutes, 0),
    labor: laborSum,
    parts,
    total: sumMoney([laborSum, parts], currency),
  };
}
