import { fellBehind, isReached, merged, resultsOf, tableOf, withTable, type Measured } from './results';

const of = { day: '2026-12-01', commit: 'abc1234' };
const one = (value: number, given: Partial<Measured> = {}): Measured => ({
  what: 'a tick',
  reference: 'limit',
  unit: 'ms',
  aim: 'aim: 1.0 or less',
  value,
  referenceValue: 50,
  ...given,
});
const runs = (values: readonly number[], given: Partial<Measured> = {}) =>
  resultsOf(
    values.map((value) => [one(value, given)]),
    of,
  );

describe('several runs of a measurement', () => {
  it('come to the middle one, with the least and the most, of the ratio taken run by run', () => {
    const [result] = resultsOf([[one(40)], [one(60, { referenceValue: 60 })], [one(45)]], of);
    expect(result?.value).toEqual({ median: 45, least: 40, most: 60 });
    expect(result?.ratio).toEqual({ median: 0.9, least: 0.8, most: 1 });
    expect(result).toMatchObject({ runs: 3, ...of });
  });

  it('reach their aim by the middle run, in either direction', () => {
    expect(runs([49, 50, 90]).map(isReached)).toEqual([true]);
    expect(runs([49, 51, 90]).map(isReached)).toEqual([false]);
    expect(runs([20, 30, 60], { aim: 'aim: 0.60 or more' }).map(isReached)).toEqual([true]);
    expect(runs([20, 30, 60], { aim: 'no aim' }).map(isReached)).toEqual([null]);
  });
});

describe('a row that fell behind', () => {
  it('is worse by more than its runs lie apart, before or now', () => {
    const before = runs([40, 41, 42]);
    expect(fellBehind(before, runs([41, 42, 44]))).toEqual([]);
    expect(fellBehind(before, runs([50, 51, 52]))).toHaveLength(1);
    // On an unquiet day nothing is said.
    expect(fellBehind(before, runs([30, 51, 90]))).toEqual([]);
    expect(fellBehind(before, runs([30, 31, 32]))).toEqual([]);
  });

  it('goes the other way where more is better, and nowhere without an aim', () => {
    const more = { aim: 'aim: 1.0 or more' };
    expect(fellBehind(runs([50, 51, 52], more), runs([30, 31, 32], more))).toHaveLength(1);
    expect(fellBehind(runs([30, 31, 32], more), runs([50, 51, 52], more))).toEqual([]);
    const none = { aim: 'no aim' };
    expect(fellBehind(runs([30, 31, 32], none), runs([50, 51, 52], none))).toEqual([]);
  });
});

describe('the table', () => {
  it('keeps what was not measured this time, and takes what was', () => {
    const before = [...runs([40], { what: 'one' }), ...runs([40], { what: 'two' })];
    const now = [...runs([50], { what: 'two' }), ...runs([50], { what: 'three' })];
    expect(merged(before, now).map(({ what, value }) => [what, value.median])).toEqual([
      ['one', 40],
      ['two', 50],
      ['three', 50],
    ]);
  });

  it('says how far runs lie apart, what was missed, when and of which state, and stands in its place', () => {
    const table = tableOf(runs([40, 60, 80]));
    expect(table.split('\n').at(-1)).toBe(
      '| a tick | 60.0 (40.0 to 80.0) ms | limit: 50.0 ms | 1.20 (0.80 to 1.60) | 1.0 or less: **not reached** | 3, 2026-12-01, abc1234 |',
    );
    const place = 'Before\n<!-- The table is written by `npm run bench`. -->\nold\n<!-- End of the table. -->\nafter';
    const once = withTable(place, table);
    expect(once).toMatch(/^Before\n[^]*a tick[^]*\nafter$/);
    expect(once).not.toContain('old');
    expect(withTable(once, table)).toBe(once);
    expect(() => withTable('no place', table)).toThrow('no place');
  });
});
