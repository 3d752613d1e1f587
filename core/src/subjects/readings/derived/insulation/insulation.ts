import type { DerivedKind } from '../derived-kind';

declare module '../derived-kind' {
  interface DerivedSettings {
    insulation: object;
  }
}

/** Insulation resistance brought to 40 °C: it halves for every 10 °C more (IEEE 43, clause 6.3; from memory). */
export const insulation: DerivedKind<'insulation'> = {
  raw: [
    { key: 'resistance', unit: 'MΩ' },
    { key: 'temperature', unit: '°C' },
  ],
  unit: 'MΩ',
  decimals: 1,
  source: 'IEEE 43: brought to 40 °C, halving for every 10 °C',
  work: ([resistance = 0, temperature = 40]) =>
    resistance < 0 ? null : { value: resistance * 0.5 ** ((40 - temperature) / 10), said: null, level: 'normal' },
};
