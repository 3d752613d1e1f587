import fc from 'fast-check';
import type { Instant } from '../../../kernel/time/instant';
import { binsOf } from './bins';
import { thinned } from './thinned';

describe('a picture over time', () => {
  const at = (date: string): { at: Instant } => ({ at: `${date}T12:00:00.000Z` as Instant });
  const spread = { from: at('2025-11-10').at, to: at('2026-02-20').at };

  it('is divided into whole months, however the items come, and leaves out what lies outside', () => {
    const bins = binsOf([at('2026-02-01'), at('2025-11-30'), at('2026-02-19'), at('2024-01-01')], spread, 'UTC');
    expect(bins.map(({ from, items }) => [from, items.length])).toEqual([
      ['2025-11-01', 1],
      ['2025-12-01', 0],
      ['2026-01-01', 0],
      ['2026-02-01', 2],
    ]);
  });

  it('becomes coarser when it is long, and has one part when it is short', () => {
    const since = (from: string) => binsOf([], { from: at(from).at, to: at('2026-11-20').at }, 'UTC');
    expect([since('2023-11-20').length, since('2023-11-20')[0]?.months]).toEqual([13, 3]);
    expect([since('2014-01-01').length, since('2014-01-01')[0]?.months]).toEqual([13, 12]);
    expect(since('2026-11-20')).toHaveLength(1);
  });

  it('knows the day of the zone', () => {
    const late = { at: '2025-12-31T23:30:00.000Z' as Instant };
    expect(binsOf([late], spread, 'Europe/Vienna').map(({ items }) => items.length)).toEqual([0, 0, 1, 0]);
  });
});

describe('a picture of many values', () => {
  it('keeps the least and the greatest, the order, and no more than asked for', () => {
    const value = fc.record({ value: fc.integer({ min: -100, max: 100 }), at: fc.constant(0) });
    fc.assert(
      fc.property(fc.array(value, { minLength: 1, maxLength: 400 }), fc.integer({ min: 2, max: 60 }), (given, most) => {
        const values = given.map((each, at) => ({ ...each, at }));
        const few = thinned(values, most);
        expect(few.length).toBeLessThanOrEqual(Math.max(most, values.length <= most ? values.length : 0));
        const range = (some: readonly { value: number }[]) => [
          Math.min(...some.map((each) => each.value)),
          Math.max(...some.map((each) => each.value)),
        ];
        expect(range(few)).toEqual(range(values));
        expect(few.map(({ at }) => at)).toEqual(few.map(({ at }) => at).toSorted((a, b) => a - b));
      }),
    );
  });
});
