import { OilcanError } from '../errors/oilcan-error';
import { currencyPlaces } from './currencies';

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

/** The exact sums of amounts that may be of several currencies: one for each, in the order in which they first come. */
export function sumsByCurrency(amounts: readonly Money[]): Money[] {
  const currencies = [...new Set(amounts.map(({ currency }) => currency))];
  return currencies.map((currency) =>
    sumMoney(
      amounts.filter((each) => each.currency === currency),
      currency,
    ),
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
  return money(divideRounding(BigInt(amount.minor) * BigInt(numerator), BigInt(denominator)), amount.currency);
}

/**
 * The product of factors over a whole divisor, rounded once to the smallest unit, halves away from zero. Factors may be
 * fractions as people write them (a rate of 53.75, 137.5 percent): they count as the decimal that they print as, up to
 * nine places.
 */
export function scaleAmount(factors: readonly number[], divisor: number, currency: string): Money {
  let [above, below] = [1n, BigInt(divisor)];
  for (const factor of factors) {
    const { digits, scale } = asDecimal(factor);
    above *= digits;
    below *= scale;
  }
  return money(divideRounding(above, below), currency);
}

const MOST_PLACES = 9;

/** A number as whole digits over a power of ten. */
function asDecimal(value: number): { readonly digits: bigint; readonly scale: bigint } {
  if (!Number.isFinite(value) || Math.abs(value) >= 1e21) throw new OilcanError('money_not_whole', { minor: value });
  const [whole = '0', fraction = ''] = value.toFixed(MOST_PLACES).split('.');
  return { digits: BigInt(`${whole}${fraction}`), scale: 10n ** BigInt(fraction.length) };
}

function divideRounding(above: bigint, below: bigint): number {
  const magnitude = above < 0n ? -above : above;
  const rounded = (magnitude * 2n + below) / (below * 2n);
  return Number(above < 0n ? -rounded : rounded);
}

/** The amount as people of the language write it, with its currency. */
export function formatMoney(amount: Money, language: string): string {
  const places = currencyPlaces(amount.currency);
  return new Intl.NumberFormat(language, {
    style: 'currency',
    currency: amount.currency,
    minimumFractionDigits: places,
    maximumFractionDigits: places,
  }).format(amount.minor / 10 ** places);
}

/** Sums of several currencies one after another; what comes to nothing is said in the given currency. */
export function formatSums(sums: readonly Money[], currency: string, language: string): string {
  if (sums.length === 0) return formatMoney(money(0, currency), language);
  return sums.map((sum) => formatMoney(sum, language)).join(' + ');
}
