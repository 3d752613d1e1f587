import fc from 'fast-check';
import { minutesBetween } from '../../../kernel/time/instant';
import { noon } from '../../../testing/builders';
import { minutesLater } from '../../../testing/works';
import { meterAt, meterReaches, meterStep, usageOf, usedUpTo } from './meter';

const DAY = 24 * 60;
const daily = (values: readonly number[]) => values.map((value, day) => ({ at: minutesLater(day * DAY), value }));

describe('a meter', () => {
  it.each([
    [10, 15, undefined, 5],
    [10, 9, undefined, null],
    [99_990, 5, 100_000, 15],
    [50_000, 49_000, 100_000, null],
    [100_001, 5, 100_000, null],
  ])('goes from %d to %d, beginning anew at %s: %s', (from, to, rollsOverAt, step) => {
    expect(meterStep(from, to, rollsOverAt)).toBe(step);
  });

  it('has used the same whether it rolled over, was replaced, or neither', () => {
    expect(usedUpTo(daily([99_980, 99_995, 10]), 100_000)).toEqual([0, 15, 30]);
    const replaced = [...daily([400, 415]), { at: minutesLater(2 * DAY), value: 420, replacedAt: 3 }];
    expect(usedUpTo([...replaced, { at: minutesLater(3 * DAY), value: 13 }], undefined)).toEqual([0, 15, 20, 30]);
  });

  it('says its usage a day with the least and the most of it, what it showed between, and when it reaches a value', () => {
    const latest = daily([100, 110, 140]);
    expect(usageOf(latest, undefined)).toEqual({ perDay: 20, least: 10, most: 30 });
    expect(meterAt(latest, minutesLater(1.5 * DAY))).toBe(125);
    expect(meterAt(latest, minutesLater(3 * DAY))).toBe(160);
    expect(meterAt(latest, minutesLater(-1))).toBeNull();
    const reached = meterReaches({ latest }, 200);
    expect(reached === null ? null : minutesBetween(noon, reached) / DAY).toBe(5);
    expect(meterReaches({ latest }, 140)).toBeNull();
    expect(meterReaches({ latest: daily([5]) }, 10)).toBeNull();
    expect(usageOf(daily([5, 5, 5]), undefined)?.perDay).toBe(0);
  });

  it('counts what was really used over any roll-overs', () => {
    const steps = fc.array(fc.integer({ min: 0, max: 499 }), { minLength: 1, maxLength: 60 });
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 999 }), steps, (start, given) => {
        const used = [0];
        for (const step of given) used.push((used.at(-1) ?? 0) + step);
        const shown = used.map((each) => (start + each) % 1_000);
        expect(usedUpTo(daily(shown), 1_000)).toEqual(used);
        expect(usageOf(daily(shown), 1_000)?.perDay).toBeCloseTo((used.at(-1) ?? 0) / given.length, 9);
      }),
    );
  });
});
