import type { DerivedKind } from '../derived-kind';

/** What the winding is insulated with: old windings of asphalt or shellac are thermoplastic, those of epoxy or polyester thermosetting. */
export type Winding = 'thermoplastic' | 'thermosetting';

declare module '../derived-kind' {
  interface DerivedSettings {
    /** Where nobody said, the winding is taken as thermoplastic. */
    insulation: { readonly winding?: Winding };
  }
}

/** In °C: between these a thermosetting winding is brought to 40 °C (IEEE 43-2013, clause 6.3; from memory). */
const THERMOSETTING = { from: 10, to: 85 };

/**
 * By what a resistance is multiplied to bring it to 40 °C (IEEE 43-2013, clause 6.3; from memory): of a thermoplastic winding it halves for
 * every 10 °C more; of a thermosetting one it follows Arrhenius, with another slope below 40 °C. Null where the standard has none.
 */
function factorTo40(winding: Winding, temperature: number): number | null {
  if (winding === 'thermoplastic') return 0.5 ** ((40 - temperature) / 10);
  if (temperature < THERMOSETTING.from || temperature > THERMOSETTING.to) return null;
  return Math.exp((temperature > 40 ? -4_230 : -1_245) * (1 / (temperature + 273) - 1 / 313));
}

/** Insulation resistance brought to 40 °C. */
export const insulation: DerivedKind<'insulation'> = {
  raw: [
    { key: 'resistance', unit: 'MΩ' },
    { key: 'temperature', unit: '°C' },
  ],
  unit: 'MΩ',
  decimals: 1,
  source: 'IEEE 43-2013: brought to 40 °C, by the kind of winding',
  work: ([resistance = 0, temperature = 40], { winding }) => {
    const factor = factorTo40(winding ?? 'thermoplastic', temperature);
    if (resistance < 0 || factor === null) return null;
    const value = resistance * factor;
    return { value, said: null, level: 'normal' };
  },
};
