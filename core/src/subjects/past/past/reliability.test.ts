import { chanceOf } from '../../../testing/chance';
import fc from 'fast-check';
import { jStat } from 'jstat';
import { addMinutes } from '../../../kernel/time/instant';
import { noon } from '../../../testing/builders';
import { chiSquareBelow, chiSquareQuantile, logGamma, normalBelow } from './distributions';
import { coveredMinutes } from './intervals';
import { laplace, meanBetween, powerLaw, quantile, trendOf } from './reliability';

describe('distributions', () => {
  // NIST/SEMATECH e-Handbook 1.3.6.7.4.
  it.each([
    [0.95, 10, 18.307],
    [0.05, 10, 3.94],
  ])('has the chi-square quantile %d at %d degrees of freedom of the table', (share, degrees, value) => {
    expect(chiSquareQuantile(share, degrees)).toBeCloseTo(value, 3);
  });

  it('agrees with a general statistics library', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.005, max: 0.995, noNaN: true }),
        fc.integer({ min: 1, max: 200 }),
        (share, degrees) => {
          const ours = chiSquareQuantile(share, degrees);
          expect(chiSquareBelow(ours, degrees)).toBeCloseTo(share, 9);
          expect(ours / jStat.chisquare.inv(share, degrees)).toBeCloseTo(1, 4);
        },
      ),
    );
    for (const z of [-4, -1.96, -0.5, 0, 0.1, 1, 2.5758])
      expect(normalBelow(z)).toBeCloseTo(jStat.normal.cdf(z, 0, 1), 9);
    for (const x of [0.1, 1, 2.5, 30]) expect(logGamma(x)).toBeCloseTo(jStat.gammaln(x), 9);
  });
});

describe('mean time between failures', () => {
  it('is time by failures, with 2T/χ² around it', () => {
    const result = meanBetween({ failures: [1, 2, 3, 4, 5], length: 1_000 });
    expect(result?.mean).toBe(200);
    expect(result?.low).toBeCloseTo(2_000 / jStat.chisquare.inv(0.95, 12), 3);
    expect(result?.high).toBeCloseTo(2_000 / jStat.chisquare.inv(0.05, 10), 3);
  });

  it('of what never failed has only a lower bound', () => {
    const result = meanBetween({ failures: [], length: 365 });
    // With no failure the bound is T/−ln(0.05): MIL-HDBK-189, zero failures.
    expect(result).toMatchObject({ mean: Number.POSITIVE_INFINITY, high: Number.POSITIVE_INFINITY });
    expect(result?.low).toBeCloseTo(365 / -Math.log(0.05), 6);
    expect(meanBetween({ failures: [], length: 0 })).toBeNull();
  });

  it('holds the true mean in about nine of ten observations', () => {
    let held = 0;
    const rounds = 400;
    for (let seed = 1; seed <= rounds; seed += 1) {
      const { low, high } = meanBetween({ failures: poisson(seed, 50, 1_000), length: 1_000 }) ?? { low: 0, high: 0 };
      if (low <= 50 && 50 <= high) held += 1;
    }
    expect(held / rounds).toBeGreaterThan(0.86);
    expect(held / rounds).toBeLessThan(0.95);
  });
});

describe('trends', () => {
  // NIST/SEMATECH e-Handbook 8.4.5.2 (memory): failures at these hours, test ended at 1500; modified slope 0.4835.
  const improving = { failures: [5, 40, 43, 175, 389, 712, 747, 795, 1299, 1478], length: 1_500 };

  it('fits the power law of the handbook’s example', () => {
    const { beta, theta } = powerLaw(improving);
    expect((beta * 9) / 10).toBeCloseTo(0.4835, 4);
    expect((1_500 / theta) ** beta).toBeCloseTo(10, 9);
  });

  it('asks Laplace’s question as its formula says', () => {
    const mean = improving.failures.reduce((sum, time) => sum + time, 0) / 10;
    const { u, p } = laplace(improving);
    expect(u).toBeCloseTo((mean - 750) / (1_500 * Math.sqrt(1 / 120)), 12);
    expect(p).toBeCloseTo(2 * jStat.normal.cdf(-Math.abs(u), 0, 1), 9);
  });

  it('says that there are too few below five', () => {
    for (const failures of [[], [3], [3, 3, 3, 3]]) {
      expect(trendOf({ failures, length: 10 })).toEqual({ is: 'too few', count: failures.length });
    }
  });

  it('finds what gets worse, what gets better, and calls chance steady in nine of ten', () => {
    const worse = Array.from({ length: 12 }, (_, index) => 1_000 * ((index + 1) / 12) ** (1 / 3) - 1);
    expect(trendOf({ failures: worse, length: 1_000 })).toMatchObject({ is: 'faster' });
    const better = Array.from({ length: 12 }, (_, index) => 1_000 * ((index + 0.5) / 12) ** 3);
    expect(trendOf({ failures: better, length: 1_000 })).toMatchObject({ is: 'slower' });
    const rounds = 300;
    const steady = Array.from({ length: rounds }, (_, seed) =>
      trendOf({ failures: poisson(seed + 1, 60, 1_000), length: 1_000 }),
    ).filter(({ is }) => is === 'steady');
    expect(steady.length / rounds).toBeGreaterThan(0.88);
  });

  it('does not fall over when all happened at one time, at the beginning or the end', () => {
    for (const at of [1e-9, 500, 1_000]) {
      expect(['steady', 'faster', 'slower']).toContain(trendOf({ failures: [at, at, at, at, at], length: 1_000 }).is);
    }
  });
});

describe('quantiles', () => {
  it('lie between neighbours by their distance', () => {
    expect(quantile([], 0.5)).toBeNull();
    expect([quantile([7], 0.8), quantile([1, 2, 3, 4], 0.5), quantile([10, 20], 0.8)]).toEqual([7, 2.5, 18]);
  });

  it('agree with a general statistics library', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: -1_000, max: 1_000 }), { minLength: 2 }),
        fc.integer({ min: 0, max: 100 }),
        (values, percent) => {
          expect(quantile(values, percent / 100)).toBeCloseTo(
            jStat.quantiles(values, [percent / 100], 1, 1)[0] ?? Number.NaN,
            6,
          );
        },
      ),
    );
  });
});

describe('covered time', () => {
  const at = (minutes: number) => addMinutes(noon, minutes);
  const window = { from: noon, to: at(100) };

  it.each<[string, [number, number | null][], number]>([
    ['none', [], 0],
    [
      'two apart',
      [
        [10, 20],
        [30, 50],
      ],
      30,
    ],
    [
      'two over one another',
      [
        [10, 40],
        [20, 30],
      ],
      30,
    ],
    [
      'two that touch',
      [
        [10, 20],
        [20, 30],
      ],
      20,
    ],
    ['what lasts still', [[90, null]], 10],
    ['what began before and ends after', [[-50, 500]], 100],
    ['what ends before it begins', [[50, 40]], 0],
    [
      'dates out of order',
      [
        [60, 80],
        [10, 20],
      ],
      30,
    ],
  ])('of %s', (_, intervals, minutes) => {
    const given = intervals.map(([from, to]) => ({ from: at(from), to: to === null ? null : at(to) }));
    expect(coveredMinutes(given, window)).toBe(minutes);
  });

  it('is what counting minute by minute gives', () => {
    const interval = fc.tuple(fc.integer({ min: -30, max: 130 }), fc.integer({ min: 0, max: 60 }));
    fc.assert(
      fc.property(fc.array(interval), (intervals) => {
        const given = intervals.map(([from, length]) => ({ from: at(from), to: at(from + length) }));
        const counted = Array.from({ length: 100 }, (_, minute) =>
          intervals.some(([from, length]) => from <= minute && minute < from + length),
        ).filter(Boolean).length;
        expect(coveredMinutes(given, window)).toBe(counted);
      }),
    );
  });
});

/** Failures by pure chance with this mean gap, the same for the same seed. */
function poisson(seed: number, meanGap: number, length: number): number[] {
  const { next } = chanceOf(seed);
  const failures: number[] = [];
  for (let at = -Math.log(1 - next()) * meanGap; at <= length; at -= Math.log(1 - next()) * meanGap) failures.push(at);
  return failures;
}
