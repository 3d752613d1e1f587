import { jStat } from 'jstat';
import { atLeast, evenByChance, holm } from './several-tests';

describe('several tests at once', () => {
  // The worked example of Holm's procedure by hand: 0.01 × 4, 0.013 × 3, 0.014 × 2, 0.19 × 1, and never falling.
  it('are adjusted step by step', () => {
    expect(holm([0.01, 0.19, 0.013, 0.014]).map((p) => Number(p.toFixed(12)))).toEqual([0.04, 0.19, 0.04, 0.04]);
    expect(holm([0.01], 5)).toEqual([0.05]);
    expect(holm([])).toEqual([]);
  });
});

describe('chances of counts', () => {
  it('agree with an independent library', () => {
    for (const [least, count, share] of [
      [3, 5, 0.2],
      [1, 40, 0.01],
      [12, 30, 0.5],
    ] as const) {
      expect(atLeast(least, count, share)).toBeCloseTo(1 - jStat.binomial.cdf(least - 1, count, share), 10);
    }
    expect([atLeast(0, 4, 0.3), atLeast(2, 4, 1), atLeast(2, 4, 0)]).toEqual([1, 1, 0]);
  });
});

describe('even gaps', () => {
  it('are hardly chance, uneven ones are', () => {
    expect(evenByChance([60, 62, 58, 61, 59, 60])).toBeLessThan(0.001);
    expect(evenByChance([1, 200, 5, 90, 3, 40])).toBeGreaterThan(0.5);
    expect([evenByChance([5]), evenByChance([0, 5, 5])]).toEqual([1, 1]);
  });

  it('are called so by chance as often as it says', () => {
    let state = 11;
    const next = (): number => {
      state = (Math.imul(state, 1_664_525) + 1_013_904_223) >>> 0;
      return (state + 0.5) / 4_294_967_296;
    };
    const rounds = 4_000;
    let called = 0;
    for (let round = 0; round < rounds; round += 1) {
      const gaps = Array.from({ length: 8 }, () => -Math.log(next()));
      if (evenByChance(gaps) < 0.05) called += 1;
    }
    expect(Math.abs(called / rounds - 0.05)).toBeLessThan(0.012);
  });
});
