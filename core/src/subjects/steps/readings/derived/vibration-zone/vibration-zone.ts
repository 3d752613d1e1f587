import { roundedTo } from '../rounded';
import type { DerivedKind } from '../derived-kind';

declare module '../derived-kind' {
  interface DerivedSettings {
    /** Group 1: large machines, above 300 kW; group 2: medium ones, above 15 kW. */
    vibrationZone: { readonly group: 1 | 2; readonly mounting: 'rigid' | 'flexible' };
  }
}

/** Boundaries A/B, B/C and C/D in mm/s r.m.s. (ISO 20816-3, formerly ISO 10816-3, annex A; from memory). */
const boundaries: Readonly<Record<string, readonly [number, number, number]>> = {
  '1 rigid': [2.3, 4.5, 7.1],
  '1 flexible': [3.5, 7.1, 11],
  '2 rigid': [1.4, 2.8, 4.5],
  '2 flexible': [2.3, 4.5, 7.1],
};

/**
 * The zone of a machine's vibration: A as new, B fit to run without a limit of time, C for a limited time, D it does damage.
 * On a boundary the better zone holds.
 */
export const vibrationZone: DerivedKind<'vibrationZone'> = {
  raw: [{ key: 'velocity', unit: 'mm/s' }],
  unit: 'mm/s',
  decimals: 1,
  source: 'ISO 20816-3, zones A to D',
  work: ([velocity = 0], { group, mounting }) => {
    const limits = boundaries[`${group} ${mounting}`];
    if (velocity < 0 || limits === undefined) return null;
    const shown = roundedTo(velocity, 1);
    const zone = limits.findIndex((limit) => shown <= limit);
    const index = zone < 0 ? 3 : zone;
    return {
      value: velocity,
      said: 'ABCD'[index] ?? 'D',
      level: index === 3 ? 'alarm' : index === 2 ? 'alert' : 'normal',
    };
  },
};
