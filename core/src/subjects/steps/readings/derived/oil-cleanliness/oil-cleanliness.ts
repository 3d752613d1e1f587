import type { DerivedKind } from '../derived-kind';

declare module '../derived-kind' {
  interface DerivedSettings {
    oilCleanliness: object;
  }
}

/** Particles in a millilitre up to which each code goes, from code 0 (ISO 4406:2021, table 1; from memory). */
const UP_TO = [
  0.01, 0.02, 0.04, 0.08, 0.16, 0.32, 0.64, 1.3, 2.5, 5, 10, 20, 40, 80, 160, 320, 640, 1_300, 2_500, 5_000, 10_000,
  20_000, 40_000, 80_000, 160_000, 320_000, 640_000, 1_300_000, 2_500_000,
];

/** The scale number of a count of particles in a millilitre; one above the last where there are more than the scale has. */
export function scaleNumber(particles: number): number {
  const code = UP_TO.findIndex((most) => particles <= most);
  return code < 0 ? UP_TO.length : code;
}

/** The cleanliness code of an oil from its particles of at least 4, 6 and 14 µm(c); its value is the first number. */
export const oilCleanliness: DerivedKind<'oilCleanliness'> = {
  raw: [
    { key: 'from4', unit: '/mL' },
    { key: 'from6', unit: '/mL' },
    { key: 'from14', unit: '/mL' },
  ],
  unit: 'code',
  decimals: 0,
  source: 'ISO 4406, particles ≥ 4 / ≥ 6 / ≥ 14 µm(c)',
  work: ([from4 = 0, from6 = 0, from14 = 0]) => {
    // Larger particles are among the smaller ones.
    if (from14 < 0 || from6 < from14 || from4 < from6) return null;
    const codes = [from4, from6, from14].map(scaleNumber);
    return {
      value: codes[0] ?? 0,
      said: codes.map((code) => (code < UP_TO.length ? `${code}` : `> ${UP_TO.length - 1}`)).join('/'),
      level: 'normal',
    };
  },
};
