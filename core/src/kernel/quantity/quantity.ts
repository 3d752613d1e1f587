/**
 * An amount of a part in whole thousandths of its unit, so that 0.1 L + 0.2 L is exactly 0.3 L.
 * 2,500 thousandths of a litre are 2.5 L.
 */
export type Thousandths = number;

const FORM = /^([+-]?)(\d{1,9})?(?:[.,](\d{1,3}))?$/;

/** Reads `2`, `2.5` or `0,25`. `undefined` for anything else, or for more than three decimals. */
export function parseQuantity(text: string): Thousandths | undefined {
  const match = FORM.exec(text.trim());
  if (match === null || (match[2] === undefined && match[3] === undefined)) return undefined;
  const size = Number(match[2] ?? 0) * 1000 + Number((match[3] ?? '').padEnd(3, '0'));
  return match[1] === '-' && size !== 0 ? -size : size;
}

/** The amount without needless zeros: 2500 is `2.5`, 2000 is `2`. */
export function formatQuantity(thousandths: Thousandths): string {
  const size = Math.abs(thousandths);
  const decimals = String(size % 1000)
    .padStart(3, '0')
    .replace(/0+$/, '');
  const whole = `${thousandths < 0 ? '-' : ''}${Math.floor(size / 1000)}`;
  return decimals === '' ? whole : `${whole}.${decimals}`;
}
