import type { Thousandths } from '../quantity/quantity';

/** Each unit's kind of measure and its size in the base of that kind (NIST SP 811, appendix B). */
const units: Readonly<Record<string, readonly [measure: 'volume' | 'length' | 'mass', size: number]>> = {
  mL: ['volume', 0.001],
  cL: ['volume', 0.01],
  L: ['volume', 1],
  'US gal': ['volume', 3.785412],
  mm: ['length', 0.001],
  cm: ['length', 0.01],
  m: ['length', 1],
  in: ['length', 0.0254],
  ft: ['length', 0.3048],
  g: ['mass', 0.001],
  kg: ['mass', 1],
  lb: ['mass', 0.45359237],
};

/**
 * An amount in another unit, to the nearest thousandth of it; null when the two do not measure the same thing. Units that
 * are not known, such as `pcs` or `box`, only convert to themselves.
 */
export function convertQuantity(quantity: Thousandths, from: string, to: string): Thousandths | null {
  if (from === to) return quantity;
  const [ofFrom, ofTo] = [unitOf(from), unitOf(to)];
  if (ofFrom === null || ofTo === null || ofFrom[0] !== ofTo[0]) return null;
  return Math.round((quantity * ofFrom[1]) / ofTo[1]);
}

function unitOf(name: string): (typeof units)[string] | null {
  return Object.hasOwn(units, name) ? (units[name] ?? null) : null;
}
