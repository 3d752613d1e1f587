import { currencyPlaces } from './currencies';
import { money, type Money } from './money';

const FORM = /^(\d{1,12})(?:[.,](\d+))?$/;

/** An amount as people type it, `12`, `12.5` or `12,50`; undefined for anything else, or more decimals than the currency has. */
export function parseMoney(text: string, currency: string): Money | undefined {
  const match = FORM.exec(text.trim());
  const places = currencyPlaces(currency);
  const decimals = match?.[2] ?? '';
  if (match?.[1] === undefined || decimals.length > places) return undefined;
  const minor = Number(`${match[1]}${decimals.padEnd(places, '0')}`);
  return Number.isSafeInteger(minor) ? money(minor, currency) : undefined;
}

/** An amount as it would be typed: `12.50`. */
export function typedMoney({ minor, currency }: Money): string {
  return (minor / 10 ** currencyPlaces(currency)).toFixed(currencyPlaces(currency));
}
