import { OilcanError } from '../errors/oilcan-error';

/** An exact amount in the smallest unit of its currency (cents), never a fraction of it. */
export interface Money {
  readonly minor: number;
  /** ISO 4217 code, such as `EUR`. */
  readonly currency: string;
}

export function money(minor: number, currency: string): Money {
  if (!Number.isSafeInteger(minor)) throw new OilcanError('money_not_whole', { minor });
  return { minor, currency };
}

/** The exact sum. Throws `currencies_differ` when the amounts are not of the given currency. */
export function sumMoney(amounts: readonly Money[], currency: string): Money {
  return amounts.reduce(
    (sum, each) => {
      if (each.currency !== currency) {
        throw new OilcanError('currencies_differ', { expected: currency, found: each.currency });
      }
      return money(sum.minor + each.minor, currency);
    },
    money(0, currency),
  );
}

/**
 * `amount × numerator / denominator`, rounded once to the smallest unit, halves away from zero.
 * Exact for all whole numbers: the product is made in arbitrary precision.
 *
 * @param numerator whole number, may be negative
 * @param denominator whole number above zero
 */
export function scaleMoney(amount: Money, numerator: number, denominator: number): Money {
  const product = BigInt(amount.minor) * BigInt(numerator);
  const divisor = BigInt(denominator);
  const magnitude = product < 0n ? -product : product;
  const rounded = (magnitude * 2n + divisor) / (divisor * 2n);
  return money(Number(product < 0n ? -rounded : rounded), amount.currency);
}

/** The amount as people of the language write it, with its currency. */
export function formatMoney(amount: Money, language: string): string {
  const format = new Intl.NumberFormat(language, { style: 'currency', currency: amount.currency });
  const digits = format.resolvedOptions().maximumFractionDigits ?? 2;
  return format.format(amount.minor / 10 ** digits);
}
