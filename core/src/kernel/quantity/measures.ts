/** A whole number over another. */
interface Ratio {
  readonly above: bigint;
  readonly below: bigint;
}

interface Unit {
  readonly measure: string;
  /** How many of the first unit of its measure one of it is. */
  readonly size: Ratio;
  /** What it reads where the first unit reads zero, in its own. */
  readonly zero: Ratio;
}

const ratio = (above: bigint, below = 1n): Ratio => ({ above, below });
const none = ratio(0n);
const unit = (measure: string, size: Ratio, zero: Ratio = none): Unit => ({ measure, size, zero });

/**
 * The units of readings, each by the first of its measure, exactly (NIST SP 811, appendix B: 1 in = 25.4 mm, 1 lbf = 4.4482216152605 N,
 * 1 psi = 1 lbf/in², 1 US gal = 3.785411784 L, t/°F = 1.8 t/°C + 32; all of them exact).
 */
const units: Readonly<Record<string, Unit>> = {
  '°C': unit('temperature', ratio(1n)),
  '°F': unit('temperature', ratio(5n, 9n), ratio(32n)),
  K: unit('temperature', ratio(1n), ratio(27_315n, 100n)),
  bar: unit('pressure', ratio(1n)),
  mbar: unit('pressure', ratio(1n, 1_000n)),
  kPa: unit('pressure', ratio(1n, 100n)),
  MPa: unit('pressure', ratio(10n)),
  // 4.4482216152605 N over 0.00064516 m², in units of 100,000 Pa.
  psi: unit('pressure', ratio(44_482_216_152_605n, 645_160_000_000_000n)),
  mm: unit('length', ratio(1n)),
  cm: unit('length', ratio(10n)),
  m: unit('length', ratio(1_000n)),
  in: unit('length', ratio(254n, 10n)),
  ft: unit('length', ratio(3_048n, 10n)),
  'mm/s': unit('velocity', ratio(1n)),
  'in/s': unit('velocity', ratio(254n, 10n)),
  'm/s': unit('velocity', ratio(1_000n)),
  'N·m': unit('torque', ratio(1n)),
  // 4.4482216152605 N times 0.3048 m.
  'lbf·ft': unit('torque', ratio(44_482_216_152_605n * 3_048n, 10_000_000_000_000n * 10_000n)),
  kN: unit('force', ratio(1n)),
  N: unit('force', ratio(1n, 1_000n)),
  lbf: unit('force', ratio(44_482_216_152_605n, 10_000_000_000_000_000n)),
  L: unit('volume', ratio(1n)),
  mL: unit('volume', ratio(1n, 1_000n)),
  'US gal': unit('volume', ratio(3_785_411_784n, 1_000_000_000n)),
  MΩ: unit('resistance', ratio(1n)),
  GΩ: unit('resistance', ratio(1_000n)),
  kΩ: unit('resistance', ratio(1n, 1_000n)),
};

const unitNamed = (name: string): Unit | undefined => (Object.hasOwn(units, name) ? units[name] : undefined);

/** The units in which the same can be read, the given one first; only itself where it is not known. */
export function unitsLike(name: string): string[] {
  const measure = unitNamed(name)?.measure;
  const others = Object.keys(units).filter((each) => each !== name && units[each]?.measure === measure);
  return measure === undefined ? [name] : [name, ...others];
}

/**
 * A reading in another unit, exact but for the last rounding; null where the two do not measure the same.
 *
 * @param decimals places to which it is rounded, halves away from zero
 */
export function convertReading(value: number, from: string, to: string, decimals: number): number | null {
  if (from === to) return value;
  const [ofFrom, ofTo] = [unitNamed(from), unitNamed(to)];
  if (ofFrom === undefined || ofTo === undefined || ofFrom.measure !== ofTo.measure) return null;
  const first = times(minus(ratioOf(value), ofFrom.zero), ofFrom.size);
  return rounded(plus(times(first, inverse(ofTo.size)), ofTo.zero), decimals);
}

/** A number as it is written in decimals, exactly. */
function ratioOf(value: number): Ratio {
  const [digits = '0', exponent = '0'] = String(value).toLowerCase().split('e');
  const [whole = '0', part = ''] = digits.split('.');
  const places = part.length - Number(exponent);
  const above = BigInt(`${whole}${part}`);
  return places >= 0 ? ratio(above, 10n ** BigInt(places)) : ratio(above * 10n ** BigInt(-places));
}

const times = (a: Ratio, b: Ratio): Ratio => ratio(a.above * b.above, a.below * b.below);
const inverse = ({ above, below }: Ratio): Ratio => ratio(below, above);
const plus = (a: Ratio, b: Ratio): Ratio => ratio(a.above * b.below + b.above * a.below, a.below * b.below);
const minus = (a: Ratio, b: Ratio): Ratio => plus(a, ratio(-b.above, b.below));

function rounded({ above, below }: Ratio, decimals: number): number {
  const scaled = above * 10n ** BigInt(decimals) * 2n;
  const magnitude = ((scaled < 0n ? -scaled : scaled) + below) / (below * 2n);
  const value = Number(magnitude) / 10 ** decimals;
  return scaled < 0n && value !== 0 ? -value : value;
}
