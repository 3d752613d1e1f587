import type { Thousandths } from '../../../kernel/quantity/quantity';

/** A price is kept to a thousandth of the smallest currency unit. */
const PARTS_OF_MINOR = 1000;

/** So much of a part, at a price for one unit in the smallest currency unit, which may be a fraction of it. */
export interface Priced {
  readonly quantity: Thousandths;
  readonly priceMinor: number;
}

/**
 * The price of one unit after a receipt, by moving average: what was there and what came, each at its price, over all of it (common
 * practice). Rounded once, half up, to a thousandth of the smallest currency unit. Where nothing was there by the books, or less, the
 * price is that of what came. What is taken out leaves the price as it is.
 */
export function averageAfterReceipt(before: Priced, came: Priced): number {
  if (before.quantity <= 0) return roundPrice(came.priceMinor);
  const quantity = BigInt(before.quantity + came.quantity);
  const value = BigInt(before.quantity) * partsOf(before.priceMinor) + BigInt(came.quantity) * partsOf(came.priceMinor);
  return Number((value * 2n + quantity) / (quantity * 2n)) / PARTS_OF_MINOR;
}

function partsOf(priceMinor: number): bigint {
  return BigInt(Math.round(priceMinor * PARTS_OF_MINOR));
}

function roundPrice(priceMinor: number): number {
  return Math.round(priceMinor * PARTS_OF_MINOR) / PARTS_OF_MINOR;
}
