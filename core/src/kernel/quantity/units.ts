import type { Thousandths } from './quantity';

/**
 * Each unit's kind of measure and its size, as a whole number of the smallest step in which all units of that kind are
 * whole: a nanolitre, a tenth of a millimetre, ten micrograms. So conversions are ratios of whole numbers, and exact
 * (NIST SP 811, appendix B: 1 in = 25.4 mm, 1 ft = 12 in, 1 lb = 453.59237 g; 1 US gal = 231 in³ = 3.785411784 L).
 */
const units: Readonly<Record<string, readonly [measure: 'volume' | 'length' | 'mass', size: bigint]>> = {
  mL: ['volume', 1_000_000n],
  cL: ['volume', 10_000_000n],
  L: ['volume', 1_000_000_000n],
  'US gal': ['volume', 3_785_411_784n],
  mm: ['length', 10n],
  cm: ['length', 100n],
  m: ['length', 10_000n],
  in: ['length', 254n],
  ft: ['length', 3_048n],
  g: ['mass', 100_000n],
  kg: ['mass', 100_000_000n],
  lb: ['mass', 45_359_237n],
};

/** An amount that need not be whole thousandths: `above / below` of a thousandth. Added up before it is rounded. */
export interface ExactQuantity {
  readonly above: bigint;
  readonly below: bigint;
}

/**
 * An amount in another unit, exactly; null when the two do not measure the same thing. Units that are not known, such as
 * `pcs` or `box`, only convert to themselves. All amounts in one unit have the same `below`.
 */
export function exactQuantity(quantity: Thousandths, from: string, to: string): ExactQuantity | null {
  const [ofFrom, ofTo] = [unitOf(from), unitOf(to)];
  const below = ofTo?.[1] ?? 1n;
  if (from === to) return { above: BigInt(quantity) * below, below };
  if (ofFrom === null || ofTo === null || ofFrom[0] !== ofTo[0]) return null;
  return { above: BigInt(quantity) * ofFrom[1], below };
}

/** To the nearest thousandth, halves away from zero. */
export function roundQuantity({ above, below }: ExactQuantity): Thousandths {
  const magnitude = above < 0n ? -above : above;
  const rounded = Number((magnitude * 2n + below) / (below * 2n));
  return above < 0n && rounded !== 0 ? -rounded : rounded;
}

/** An amount in another unit, to the nearest thousandth of it, halves away from zero; null as in `exactQuantity`. */
export function convertQuantity(quantity: Thousandths, from: string, to: string): Thousandths | null {
  const exact = exactQuantity(quantity, from, to);
  return exact === null ? null : roundQuantity(exact);
}

function unitOf(name: string): readonly [string, bigint] | null {
  return Object.hasOwn(units, name) ? (units[name] ?? null) : null;
}
