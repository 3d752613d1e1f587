import { figureOf, levelOfFigure } from './derived-kinds';
import { scaleNumber } from './oil-cleanliness/oil-cleanliness';
import type { Derivation, RawValue } from './derived-kind';

const raw = (values: Readonly<Record<string, number>>): RawValue[] =>
  Object.entries(values).map(([key, value]) => ({ key, value }));

describe('the vibration zone (ISO 20816-3, boundaries from memory)', () => {
  it.each([
    [1, 'rigid', 2.3, 'A', 'normal'],
    [1, 'rigid', 2.4, 'B', 'normal'],
    [1, 'rigid', 4.6, 'C', 'alert'],
    [1, 'rigid', 7.2, 'D', 'alarm'],
    [1, 'flexible', 3.5, 'A', 'normal'],
    [1, 'flexible', 7.1, 'B', 'normal'],
    [1, 'flexible', 11, 'C', 'alert'],
    [1, 'flexible', 11.1, 'D', 'alarm'],
    [2, 'rigid', 1.4, 'A', 'normal'],
    [2, 'rigid', 2.8, 'B', 'normal'],
    [2, 'rigid', 4.5, 'C', 'alert'],
    [2, 'rigid', 4.6, 'D', 'alarm'],
    [2, 'flexible', 0, 'A', 'normal'],
    [2, 'flexible', 4.5, 'B', 'normal'],
    [2, 'flexible', 7.1, 'C', 'alert'],
  ] as const)('group %d, %s, %d mm/s: %s', (group, mounting, velocity, zone, level) => {
    const figure = figureOf({ kind: 'vibrationZone', group, mounting }, raw({ velocity }));
    expect(figure).toEqual({ value: velocity, said: zone, level });
  });
});

describe('the cleanliness of oil (ISO 4406, table from memory)', () => {
  it.each([
    [5, 9],
    [5.1, 10],
    [10, 10],
    [80.1, 14],
    [160, 14],
    [320.1, 16],
    [640, 16],
    [1_301, 18],
    [2_500, 18],
    [5_001, 20],
    [10_000, 20],
    [20_001, 22],
    [40_000, 22],
    [80_001, 24],
    [160_000, 24],
    [0, 0],
    [9e9, 29],
  ])('%d particles in a millilitre have the number %d', (particles, number) => {
    expect(scaleNumber(particles)).toBe(number);
  });

  it('each next number stands for about twice as many (ISO 4406, clause 5)', () => {
    for (let number = 1; number < 28; number += 1) {
      const most = (wanted: number): number => {
        let [low, high] = [0, 1e9];
        for (let round = 0; round < 200; round += 1) {
          const middle = (low + high) / 2;
          if (scaleNumber(middle) <= wanted) low = middle;
          else high = middle;
        }
        return low;
      };
      expect(most(number) / most(number - 1)).toBeGreaterThan(1.9);
      expect(most(number) / most(number - 1)).toBeLessThan(2.1);
    }
  });

  it('is written as three numbers, and refuses more large particles than small ones', () => {
    const oil: Derivation = { kind: 'oilCleanliness' };
    expect(figureOf(oil, raw({ from4: 2_000, from6: 500, from14: 60 }))).toEqual({
      value: 18,
      said: '18/16/13',
      level: 'normal',
    });
    expect(figureOf(oil, raw({ from4: 9e9, from6: 500, from14: 60 }))?.said).toBe('> 28/16/13');
    expect(figureOf(oil, raw({ from4: 2_000, from6: 2_500, from14: 60 }))).toBeNull();
  });
});

describe('other figures', () => {
  it('unbalance: 460, 467 and 450 V are 1.96 % (NEMA MG 1, from memory)', () => {
    const figure = figureOf({ kind: 'unbalance', unit: 'V' }, raw({ first: 460, second: 467, third: 450 }));
    expect(figure?.value).toBeCloseTo(1.96, 2);
    expect(figureOf({ kind: 'unbalance', unit: 'V' }, raw({ first: 0, second: 0, third: 0 }))).toBeNull();
  });

  it.each([
    [100, 40, 100],
    [100, 30, 50],
    [100, 50, 200],
    [20, 20, 5],
  ])('insulation: %d MΩ at %d °C are %d MΩ at 40 °C (IEEE 43, from memory)', (resistance, temperature, at40) => {
    expect(figureOf({ kind: 'insulation' }, raw({ resistance, temperature }))?.value).toBeCloseTo(at40, 10);
  });

  // IEEE 43-2013, 6.3 (from memory): thermosetting windings by Arrhenius, K = exp(-4230 (1/(T+273) - 1/313)) above 40 °C.
  it.each([
    [100, 40, 100],
    [100, 60, 225.2],
    [100, 20, 76.2],
  ])('insulation of a thermosetting winding: %d MΩ at %d °C are %d MΩ at 40 °C', (resistance, temperature, at40) => {
    const figure = figureOf({ kind: 'insulation', winding: 'thermosetting' }, raw({ resistance, temperature }));
    expect(figure?.value).toBeCloseTo(at40, 1);
  });

  it('insulation of a thermosetting winding has no figure outside 10 to 85 °C', () => {
    const at = (temperature: number) =>
      figureOf({ kind: 'insulation', winding: 'thermosetting' }, raw({ resistance: 100, temperature }));
    expect([at(5), at(90)]).toEqual([null, null]);
  });

  it('polarization index: at least 2.0 (IEEE 43, from memory)', () => {
    const index = (tenMinutes: number) => figureOf({ kind: 'polarizationIndex' }, raw({ oneMinute: 100, tenMinutes }));
    expect([index(200), index(199)].map((figure) => figure?.level)).toEqual(['normal', 'alert']);
    expect(figureOf({ kind: 'polarizationIndex' }, raw({ oneMinute: 0, tenMinutes: 5 }))).toBeNull();
    // What is shown is what is judged.
    expect(index(199.6)).toMatchObject({ value: 2, level: 'normal' });
    // IEEE 43-2013, 12.2 (from memory): above 5,000 MΩ it means nothing, whatever the limits of the point are.
    const high = figureOf({ kind: 'polarizationIndex' }, raw({ oneMinute: 6_000, tenMinutes: 6_600 }));
    expect(high).toMatchObject({ level: 'normal', tellsNothing: true });
    const limits = { alarmLow: 1.5, alertLow: 2, alertHigh: null, alarmHigh: null };
    expect(high === null ? null : levelOfFigure(high, limits)).toBe('normal');
  });

  it('above ambient, and across a filter (common practice)', () => {
    expect(figureOf({ kind: 'aboveAmbient' }, raw({ temperature: 62, ambient: 21 }))?.value).toBe(41);
    expect(figureOf({ kind: 'filterDrop' }, raw({ before: 4.5, after: 3.25 }))?.value).toBe(1.25);
    // 4.4 − 3.1 is 1.3, and not beyond a limit of 1.3.
    expect(figureOf({ kind: 'filterDrop' }, raw({ before: 4.4, after: 3.1 }))?.value).toBe(1.3);
    expect(figureOf({ kind: 'filterDrop' }, raw({ before: 3, after: 4 }))).toBeNull();
  });

  it('are none where a value is missing, too many are given, or one is no number', () => {
    const pair: Derivation = { kind: 'aboveAmbient' };
    expect(figureOf(pair, raw({ temperature: 62 }))).toBeNull();
    expect(figureOf(pair, raw({ temperature: 62, ambient: 21, more: 1 }))).toBeNull();
    expect(figureOf(pair, raw({ temperature: 62, ambient: NaN }))).toBeNull();
    expect(figureOf({ kind: 'smell' } as never, [])).toBeNull();
  });
});
