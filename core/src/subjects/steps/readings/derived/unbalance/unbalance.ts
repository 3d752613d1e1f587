import type { DerivedKind } from '../derived-kind';

declare module '../derived-kind' {
  interface DerivedSettings {
    /** Of the voltage or the current of three phases. */
    unbalance: { readonly unit: 'V' | 'A' };
  }
}

/** The largest deviation of three phases from their mean, in percent of it (NEMA MG 1, 14.36; from memory). */
export const unbalance: DerivedKind<'unbalance'> = {
  raw: [
    { key: 'first', unit: '' },
    { key: 'second', unit: '' },
    { key: 'third', unit: '' },
  ],
  unit: '%',
  decimals: 2,
  source: 'NEMA MG 1: largest deviation from the mean, of the mean',
  work: (phases) => {
    const mean = phases.reduce((sum, phase) => sum + phase, 0) / phases.length;
    if (mean <= 0 || phases.some((phase) => phase < 0)) return null;
    const furthest = Math.max(...phases.map((phase) => Math.abs(phase - mean)));
    return { value: (100 * furthest) / mean, said: null, level: 'normal' };
  },
};
