import type { Measured } from './results';

/** The middle value. */
export function median(values: readonly number[]): number {
  const sorted = [...values].sort((a, b) => a - b);
  return sorted[Math.floor(sorted.length / 2)] ?? Number.NaN;
}

/** The value below which such a share of a hundred lies. */
export function percentile(values: readonly number[], share: number): number {
  const sorted = [...values].sort((a, b) => a - b);
  return sorted[Math.min(sorted.length - 1, Math.floor((sorted.length * share) / 100))] ?? Number.NaN;
}

const measured: Measured[] = [];

/** What was measured since this was asked last. */
export function takeMeasured(): Measured[] {
  return measured.splice(0);
}

/** One line, and one row of the table: what was measured, what it is compared with in the same run, and the ratio. */
export function report(
  what: string,
  value: number,
  reference: string,
  referenceValue: number,
  unit: string,
  aim: string,
): void {
  // What else is said of this run names no other measurement.
  const named = what.replace(/\s*\([^)]*percentile[^)]*\)/, '');
  measured.push({ what: named, reference, unit, aim, value, referenceValue });
  const ratio = (value / referenceValue).toFixed(2);
  process.stdout.write(
    `${what}: ${round(value)} ${unit}; ${reference}: ${round(referenceValue)} ${unit}; ratio ${ratio} (${aim})\n`,
  );
}

function round(value: number): string {
  return value >= 100 ? value.toFixed(0) : value.toFixed(1);
}
