import { currencyPlaces } from './currencies';
import { money, type Money } from './money';

const FORM = /^(\d{1,12})(?:[.,](\d+))?$/;
/** Thousands set apart, so that nobody can take them for decimals: by a space or an apostrophe, or with other decimals behind them. */
const GROUPED =
  /^\d{1,3}(?:(?:[ \u00a0\u202f'’]\d{3})+(?:[.,]\d+)?|(?:,\d{3})+\.\d+|(?:\.\d{3})+,\d+|(?:,\d{3}){2,}|(?:\.\d{3}){2,})$/;
/** The same where there are no decimals that it could be taken for. */
const GROUPED_WHOLE = /^\d{1,3}(?:[.,]\d{3})$/;

/** Without what sets its thousands apart. */
function ungrouped(text: string, places: number): string {
  const isGrouped = GROUPED.test(text) || (places === 0 && GROUPED_WHOLE.test(text));
  const separator = isGrouped ? /\D/.exec(text)?.[0] : undefined;
  return separator === undefined ? text : text.replaceAll(separator, '');
}

/**
 * An amount as people type it, `12`, `12.5`, `12,50` or `1,500.00`; undefined for anything else, or more decimals than the currency
 * has, so also for `1,500` in a currency of two: it may be one and a half.
 */
export function parseMoney(text: string, currency: string): Money | undefined {
  const places = currencyPlaces(currency);
  const match = FORM.exec(ungrouped(text.trim(), places));
  const decimals = match?.[2] ?? '';
  if (match?.[1] === undefined || decimals.length > places) return undefined;
  const minor = Number(`${match[1]}${decimals.padEnd(places, '0')}`);
  return Number.isSafeInteger(minor) ? money(minor, currency) : undefined;
}

/** An amount as it would be typed: `12.50`. */
export function typedMoney({ minor, currency }: Money): string {
  return (minor / 10 ** currencyPlaces(currency)).toFixed(currencyPlaces(currency));
}
