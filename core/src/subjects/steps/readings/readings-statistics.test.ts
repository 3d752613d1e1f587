import fc from 'fast-check';
import TheilSenRegression from 'ml-regression-theil-sen';
import { chanceOf } from '../../../testing/chance';
import type { Limits } from '../../plant/plant/plant';
import { changeOf } from './changing';
import { controlChart } from './control-chart';
import { median, medianDeviation } from './middle';
import { trendOf, type Taken } from './trend';
import { isUnusual } from './unusual';

const noLimits: Limits = { alarmLow: null, alertLow: null, alertHigh: null, alarmHigh: null };
const daily = (values: readonly number[]): Taken[] => values.map((value, day) => ({ day, value }));

describe('the chart of individual values', () => {
  it('has the limits of the worked example (NIST/SEMATECH e-Handbook 6.3.2.2)', () => {
    const chart = controlChart([49.6, 47.6, 49.9, 51.3, 47.8, 51.2, 52.6, 52.4, 53.6, 52.1]);
    expect(chart?.middle).toBeCloseTo(50.81, 10);
    expect(chart?.movingRange).toBeCloseTo(1.8778, 4);
    expect(chart?.upper).toBeCloseTo(55.8041, 3);
    expect(chart?.lower).toBeCloseTo(45.8159, 3);
    expect(chart?.breaks).toEqual(Array(10).fill(null));
  });

  it('marks what is beyond its limits, and the eighth in a row on one side', () => {
    const stable = Array.from({ length: 20 }, (_, index) => (index % 2 === 0 ? 9 : 11));
    const chart = controlChart([...stable, 20, ...Array.from({ length: 9 }, () => 10.5)]);
    // The last of the stretch and the wild one lie above the middle as well.
    expect(chart?.breaks.slice(20)).toEqual(['beyond', null, null, null, null, null, 'run', 'run', 'run', 'run']);
  });

  it('is none for a few values', () => {
    expect(controlChart([1, 2, 3, 4, 5, 6, 7, 8, 9])).toBeNull();
  });
});

/** Sen's slope by the definition: every pair, sorted, the middle one or the two in the middle. */
function middleSlopes(readings: readonly Taken[]): readonly [number, number] {
  const slopes = readings.flatMap((a, i) =>
    readings.slice(i + 1).flatMap((b) => (b.day === a.day ? [] : [(b.value - a.value) / (b.day - a.day)])),
  );
  slopes.sort((a, b) => a - b);
  const half = Math.floor(slopes.length / 2);
  const at = (index: number): number => slopes[index] ?? NaN;
  return slopes.length % 2 === 1 ? [at(half), at(half)] : [at(half - 1), at(half)];
}

describe('the robust trend', () => {
  // Thousandths: of all doubles most are so near to zero that every slope would be.
  const someReadings = fc.array(
    fc.record({
      day: fc.integer({ min: 0, max: 400 }),
      value: fc.integer({ min: -100_000, max: 100_000 }).map((thousandths) => thousandths / 1_000),
    }),
    { minLength: 6, maxLength: 40 },
  );

  it('is the middle of all slopes, as by brute force', () => {
    fc.assert(
      fc.property(someReadings, (given) => {
        const readings = [...given].sort((a, b) => a.day - b.day);
        const trend = trendOf(readings, 1.96);
        if (trend === null) return;
        const [lower, upper] = middleSlopes(readings);
        expect(trend.perDay).toBeCloseTo((lower + upper) / 2, 10);
        // And as a general library does it, which of two slopes in the middle takes the lower: the median of 1, 2, 3, 4 is 2 to it.
        const days = readings.map(({ day }) => day);
        const { slope } = new TheilSenRegression(
          days,
          readings.map(({ value }) => value),
        );
        expect(slope).toBeCloseTo(lower, 10);
        expect(trend.from).toBeLessThanOrEqual(trend.perDay);
        expect(trend.to).toBeGreaterThanOrEqual(trend.perDay);
      }),
    );
  });

  it('follows a line exactly, whatever one wild value says, and turns with it', () => {
    const line = daily(Array.from({ length: 20 }, (_, day) => 3 + 0.5 * day));
    const wild = line.map((each, index) => (index === 7 ? { ...each, value: 1_000 } : each));
    for (const readings of [line, wild]) {
      const trend = trendOf(readings, 1.96);
      expect(trend?.perDay).toBeCloseTo(0.5, 10);
      expect(trend?.atStart).toBeCloseTo(3, 10);
      expect(trend?.isChanging).toBe(true);
    }
    const turned = trendOf(
      line.map(({ day, value }) => ({ day, value: -value })),
      1.96,
    );
    expect(turned?.perDay).toBeCloseTo(-0.5, 10);
  });

  it('of many readings is that of the medians of neighbours', () => {
    const random = chanceOf(1);
    const many = Array.from({ length: 5_000 }, (_, index) => ({
      day: index / 10,
      value: 0.02 * (index / 10) + random.normal(),
    }));
    const trend = trendOf(many, 1.96);
    expect(Math.abs((trend?.perDay ?? 0) - 0.02)).toBeLessThan(0.002);
  });
});

type Random = ReturnType<typeof chanceOf>;

/** Readings in which nothing changes, as they come in practice; in units of their deviation. */
const noises: Readonly<Record<string, (length: number, random: Random) => number[]>> = {
  'normal values': (length, random) => Array.from({ length }, () => random.normal()),
  'steps of the gauge, such as 4 4 4 5 4': (length, random) =>
    Array.from({ length }, () => Math.round(4.2 + 0.45 * random.normal())),
  'one wild value in twenty': (length, random) =>
    Array.from({ length }, () => (random.next() < 0.05 ? 10 : 1) * random.normal()),
  'each resembles the one before by 0.3': (length, random) => resembling(0.3, length, random),
  'each resembles the one before by 0.6': (length, random) => resembling(0.6, length, random),
};

function resembling(r: number, length: number, random: Random): number[] {
  let value = random.normal();
  return Array.from({ length }, () => (value = r * value + Math.sqrt(1 - r ** 2) * random.normal()));
}

describe('whether it is changing', () => {
  const RUNS = 400;
  const isSaid = (values: readonly number[]): boolean => {
    const { trend, broken } = changeOf(daily(values), noLimits);
    return trend !== null || broken !== null;
  };
  const shareSaid = (seed: number, make: (random: Random) => readonly number[]): number => {
    const random = chanceOf(seed);
    let said = 0;
    for (let run = 0; run < RUNS; run += 1) if (isSaid(make(random))) said += 1;
    return said / RUNS;
  };
  const within = (share: number): number => share + 3 * Math.sqrt((share * (1 - share)) / RUNS);

  it.each([10, 25, 40, 60, 120])('is said of pure chance in at most 5 of 100, with %d readings', (length) => {
    const share = shareSaid(length, (random) => noises['normal values']?.(length, random) ?? []);
    expect(share).toBeLessThan(within(0.05));
  });

  it.each(Object.keys(noises).flatMap((noise) => [12, 40, 80].map((length) => [noise, length] as const)))(
    'is said of chance in at most 7 of 100: %s, %d readings',
    (noise, length) => {
      const share = shareSaid(7 * length, (random) => noises[noise]?.(length, random) ?? []);
      expect(share).toBeLessThan(within(0.07));
    },
  );

  it('is found where it drifts by half a sigma in ten readings: seldom in 25 readings, nearly always in 60', () => {
    const power = [25, 40, 60].map((length) =>
      shareSaid(length, (random) => Array.from({ length }, (_, index) => 0.05 * index + random.normal())),
    );
    expect(power[0]).toBeGreaterThan(0.15);
    expect(power[1]).toBeGreaterThan(0.75);
    expect(power[2]).toBeGreaterThan(0.99);
  });

  it('says of a fall what it says of an equal rise', () => {
    const values = fc.array(fc.integer({ min: -20, max: 20 }), { minLength: 6, maxLength: 60 });
    fc.assert(
      fc.property(values, fc.integer({ min: -3, max: 3 }), (noise, drift) => {
        const rising = noise.map((value, index) => value + (drift * index) / 2);
        const limits = { alarmLow: -40, alertLow: -30, alertHigh: 30, alarmHigh: 40 };
        const [one, other] = [rising, rising.map((value) => -value)].map((each) => changeOf(daily(each), limits));
        expect(one?.broken).toBe(other?.broken);
        expect(one?.trend?.perDay ?? 0).toBeCloseTo(-(other?.trend?.perDay ?? 0), 10);
        expect(one?.trend?.from ?? 0).toBeCloseTo(-(other?.trend?.to ?? 0), 10);
        expect(one?.reaching.map(({ limit }) => limit)).toEqual(other?.reaching.map(({ limit }) => limit));
        one?.reaching.forEach((each, index) => {
          expect(each.days).toBeCloseTo(other?.reaching[index]?.days ?? NaN, 6);
          expect(each.latest).toBeCloseTo(other?.reaching[index]?.latest ?? NaN, 6);
        });
      }),
    );
  });

  it('says nothing of a single wild value, which is asked about when it is typed, and of two in a row that they stand out', () => {
    const stable = Array.from({ length: 40 }, (_, index) => 10 + (index % 3));
    expect(changeOf(daily([...stable, 90]), noLimits).broken).toBeNull();
    expect(changeOf(daily([...stable, 90, 91]), noLimits).broken).toBe('beyond');
  });
});

describe('when a limit is reached', () => {
  const HORIZONS = [3, 14, 60, 120];
  const SLOPES = [0.1, 0.3, 1];
  const LENGTHS = [20, 40, 80];
  const RUNS = 25;

  /** Of all that is told, the share whose interval holds the truth, and those that are too early and too late. */
  function coverage(
    noise: (length: number, random: Random) => number[],
  ): Readonly<Record<'held' | 'early' | 'late', number>> {
    const random = chanceOf(11);
    const counts = { told: 0, held: 0, early: 0, late: 0 };
    for (const length of LENGTHS)
      for (const slope of SLOPES)
        for (const horizon of HORIZONS)
          for (let run = 0; run < RUNS; run += 1) {
            const everyDays = Math.max(1, Math.ceil((2.2 * horizon) / length));
            const taken = noise(length, random).map((off, index) => ({
              day: index * everyDays,
              value: 50 + slope * index + off,
            }));
            const alarmHigh = 50 + (slope / everyDays) * ((length - 1) * everyDays + horizon);
            const [told] = changeOf(taken, { ...noLimits, alarmHigh }).reaching;
            if (told === undefined) continue;
            counts.told += 1;
            if (told.soonest > horizon) counts.late += 1;
            else if (told.latest < horizon) counts.early += 1;
            else counts.held += 1;
          }
    expect(counts.told).toBeGreaterThan(300);
    return { held: counts.held / counts.told, early: counts.early / counts.told, late: counts.late / counts.told };
  }

  it.each<[string, (length: number, random: Random) => number[]]>([
    ['normal', (length, random) => Array.from({ length }, () => random.normal())],
    ['rounded to half of it', (length, random) => Array.from({ length }, () => Math.round(2 * random.normal()) / 2)],
    [
      'with wild values',
      (length, random) => Array.from({ length }, () => (random.next() < 0.05 ? 8 : 1) * random.normal()),
    ],
    ['resembling by 0.3', (length, random) => resembling(0.3, length, random)],
  ])('holds the truth nine times of ten, and is neither too early nor too late, with noise that is %s', (_, noise) => {
    const { held, early, late } = coverage(noise);
    expect([held > 0.87 && held < 0.94, held]).toEqual([true, held]);
    expect(Math.abs(late - early)).toBeLessThan(0.03);
  });

  it('tells when alert and alarm are reached, with an interval, and is silent about what is far off', () => {
    const random = chanceOf(3);
    const values = Array.from({ length: 40 }, (_, day) => 50 + 0.5 * day + random.normal());
    const limits = { ...noLimits, alertHigh: 75, alarmHigh: 85 };
    const { reaching } = changeOf(daily(values), limits);
    expect(reaching.map(({ limit }) => limit)).toEqual(['alert', 'alarm']);
    const [alert] = reaching;
    // At 0.5 a day it stands at 69.5 and has 5.5 to go.
    expect(alert?.days).toBeGreaterThan(8);
    expect(alert?.days).toBeLessThan(14);
    expect(alert?.soonest).toBeLessThan(alert?.days ?? 0);
    expect(alert?.latest).toBeGreaterThan(alert?.days ?? 0);
    expect(changeOf(daily(values), { ...noLimits, alertHigh: 500 }).reaching).toEqual([]);
    expect(changeOf(daily(values), { ...noLimits, alertLow: 10 }).reaching).toEqual([]);
    expect(changeOf([], limits)).toEqual({ trend: null, broken: null, reaching: [] });
  });
});

describe('a value far off the usual', () => {
  it('is one with a digit too many, and none that was ever like it', () => {
    const earlier = [61.5, 62, 60.8, 61.9, 62.4];
    expect([isUnusual(619, earlier, 0.1), isUnusual(6.2, earlier, 0.1)]).toEqual([true, true]);
    expect([isUnusual(63, earlier, 0.1), isUnusual(66, earlier, 0.1)]).toEqual([false, false]);
  });

  it('is not known before there are four', () => {
    expect(isUnusual(1e6, [1, 2, 3], 1)).toBe(false);
  });

  it('leaves room for the steps in which a point is read, where all were alike', () => {
    expect([isUnusual(5, [4, 4, 4, 4, 4], 1), isUnusual(40, [4, 4, 4, 4, 4], 1)]).toEqual([false, true]);
  });

  it('is asked of about one true value in fifty, of the five that a phone carries', () => {
    const random = chanceOf(4);
    let asked = 0;
    const runs = 20_000;
    for (let run = 0; run < runs; run += 1) {
      const earlier = Array.from({ length: 5 }, () => random.normal());
      if (isUnusual(random.normal(), earlier, 1e-9)) asked += 1;
    }
    expect(asked / runs).toBeLessThan(0.025);
  });
});

describe('the median', () => {
  it('and the median deviation are those of the textbook example 1, 1, 2, 2, 4, 6, 9: 2 and 1', () => {
    expect([median([1, 1, 2, 2, 4, 6, 9]), medianDeviation([1, 1, 2, 2, 4, 6, 9])]).toEqual([2, 1]);
    expect(median([4, 1, 3, 2])).toBe(2.5);
    expect(median([])).toBeNaN();
  });
});
