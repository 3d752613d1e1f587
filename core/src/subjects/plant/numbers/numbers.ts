/** What is numbered, and the letter before its numbers. */
export const numberSeries = { workOrder: 'W', report: 'P' } as const;
export type NumberSeries = keyof typeof numberSeries;

export function isNumberSeries(text: string): text is NumberSeries {
  return Object.hasOwn(numberSeries, text);
}

/** How many numbers a device has ahead, so that it can go on without signal; more are lent before it runs out. */
export const NUMBERS_AHEAD = 12;
export const NUMBERS_AHEAD_LEAST = 6;

/** `W-2417`. */
export function formatNumber(series: NumberSeries, number: number): string {
  return `${numberSeries[series]}-${number}`;
}

/** The number in a text such as `W-2417`; null for what is none of this series. */
export function parseNumber(series: NumberSeries, text: string): number | null {
  const match = /^([A-Z]+)-([1-9]\d{0,11})$/.exec(text);
  return match?.[1] === numberSeries[series] && match[2] !== undefined ? Number(match[2]) : null;
}

/**
 * What something is called by a device that has no number left, until the server gives it one: marked, so that nobody writes
 * it down as its number.
 *
 * @param operationId of the operation that makes it
 */
export function provisionalNumber(series: NumberSeries, operationId: string): string {
  return `${numberSeries[series]}-?${operationId.slice(-5).toUpperCase()}`;
}

export function isProvisional(number: string): boolean {
  return number.includes('?');
}
