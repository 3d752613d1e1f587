import fc from 'fast-check';
import { DateTime } from 'luxon';
import { daySpanOf } from './day-spans';
import { instantFromMillis } from './instant';
import { addDays, beginOfDay, localDate, type LocalDay } from './local-day';
import { startOfDay } from './zone';

/** Whole hours, a half hour of summer time, midnights that a clock skipped, a day that a place never had, and far from Greenwich. */
const zones = ['Europe/Vienna', 'Australia/Lord_Howe', 'America/Sao_Paulo', 'Africa/Cairo', 'Pacific/Apia', 'UTC'];
const moments = fc.integer({ min: Date.UTC(2005, 0, 1), max: Date.UTC(2030, 0, 1) });

describe('the local days that are remembered', () => {
  it('are those of the plain library, in whatever order they are asked for, to the millisecond', () => {
    const asked = fc.array(fc.tuple(moments, fc.constantFrom(...zones)), { minLength: 1, maxLength: 40 });
    fc.assert(
      fc.property(asked, (list) => {
        for (const [millis, zone] of list) {
          const begin = DateTime.fromMillis(millis, { zone }).startOf('day');
          const span = daySpanOf(millis, zone);
          expect(span.day).toBe(begin.toISODate());
          expect(span.from).toBe(begin.toMillis());
          // Both ends of the day, where it is taken for another one most easily.
          expect(daySpanOf(span.to - 1, zone).day).toBe(span.day);
          expect(daySpanOf(span.to, zone).day).toBe(DateTime.fromMillis(span.to, { zone }).toISODate());
          const instant = instantFromMillis(millis);
          for (const later of [-1, 0, 1, 7])
            expect(startOfDay(instant, zone, later)).toBe(
              instantFromMillis(begin.plus({ days: later }).startOf('day').toMillis()),
            );
        }
      }),
      { numRuns: 150 },
    );
  });

  it('say of two days which comes first as their first moments do', () => {
    fc.assert(
      fc.property(
        moments,
        fc.integer({ min: -3, max: 3 }),
        fc.constantFrom('Europe/Vienna', 'Africa/Cairo'),
        (at, by, zone) => {
          const now = instantFromMillis(at);
          const day: LocalDay = addDays(localDate(now, zone), by);
          expect(localDate(now, zone) < day).toBe(now < beginOfDay(day, zone));
        },
      ),
    );
  });

  it('refuse a place that there is not', () => {
    expect(() => daySpanOf(0, 'Nowhere/None')).toThrow(expect.objectContaining({ code: 'zone_unknown' }));
  });
});
