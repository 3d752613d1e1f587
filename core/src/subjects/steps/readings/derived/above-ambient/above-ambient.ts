import type { DerivedKind } from '../derived-kind';

declare module '../derived-kind' {
  interface DerivedSettings {
    aboveAmbient: object;
  }
}

/** How much warmer something is than the air around it (common practice). */
export const aboveAmbient: DerivedKind<'aboveAmbient'> = {
  raw: [
    { key: 'temperature', unit: '°C' },
    { key: 'ambient', unit: '°C' },
  ],
  unit: 'K',
  decimals: 1,
  source: 'Common practice: above the air around it',
  work: ([temperature = 0, ambient = 0]) => ({ value: temperature - ambient, said: null, level: 'normal' }),
};
