import { scaleAmount, type Money } from '../../../kernel/money/money';
import type { Thousandths } from '../../../kernel/quantity/quantity';
import type { UnitPrice } from './part-content';

/** What an amount of a part costs at a price for one unit. */
export function partCost(quantity: Thousandths, unitPrice: UnitPrice): Money {
  return scaleAmount([unitPrice.minor, quantity], 1000, unitPrice.currency);
}
