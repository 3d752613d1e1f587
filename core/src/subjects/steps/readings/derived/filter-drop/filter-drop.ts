import type { DerivedKind } from '../derived-kind';

declare module '../derived-kind' {
  interface DerivedSettings {
    filterDrop: object;
  }
}

/** The pressure that a filter takes away (common practice). */
export const filterDrop: DerivedKind<'filterDrop'> = {
  raw: [
    { key: 'before', unit: 'bar' },
    { key: 'after', unit: 'bar' },
  ],
  unit: 'bar',
  decimals: 2,
  source: 'Common practice: pressure before less pressure after',
  work: ([before = 0, after = 0]) => (after > before ? null : { value: before - after, said: null, level: 'normal' }),
};
