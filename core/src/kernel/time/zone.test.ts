import fc from 'fast-check';
import { DateTime } from 'luxon';
import {
  addMinutes,
  instantFromMillis,
  minutesBetween,
  parseInstant,
  toMillis,
  tryParseInstant,
  type Instant,
} from './instant';
import { localDate } from './local-day';
import { calendarDaysBetween, inZone, latestWallTime, startOfDay } from './zone';

const vienna = 'Europe/Vienna';
const shown = (instant: Instant): string => inZone(instant, vienna).toFormat('yyyy-MM-dd HH:mm');

describe('elapsed time', () => {
  // Common practice: 08:00 and 4 h make 12:00, and 8 h make 16:00.
  it('adds hours to a time of day', () => {
    const start = parseInstant('2026-05-04T08:00:00+02:00');
    expect(shown(addMinutes(start, 240))).toBe('2026-05-04 12:00');
    expect(shown(addMinutes(start, 480))).toBe('2026-05-04 16:00');
  });

  // IANA time zone database, Europe/Vienna: on 2026-03-29 the clock goes from 02:00 to 03:00.
  it('counts two elapsed hours over the change to summer time', () => {
    expect(shown(addMinutes(parseInstant('2026-03-29T01:30:00+01:00'), 120))).toBe('2026-03-29 04:30');
  });

  // IANA time zone database, Europe/Vienna: on 2026-10-25 the hour from 02:00 to 03:00 happens twice.
  it('tells the two half past two of the change to winter time apart', () => {
    const first = parseInstant('2026-10-25T02:30:00+02:00');
    const second = parseInstant('2026-10-25T02:30:00+01:00');
    expect(shown(first)).toBe(shown(second));
    expect(minutesBetween(first, second)).toBe(60);
  });

  it('undoes adding by taking away', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 4e12 }), fc.integer({ min: -1e6, max: 1e6 }), (milliseconds, minutes) => {
        const instant = instantFromMillis(milliseconds);
        expect(addMinutes(addMinutes(instant, minutes), -minutes)).toBe(instant);
        expect(minutesBetween(instant, addMinutes(instant, minutes))).toBe(minutes);
      }),
    );
  });
});

describe('calendar days', () => {
  it('has 23 and 25 hours on the days of the clock changes', () => {
    const spring = parseInstant('2026-03-29T12:00:00Z');
    const autumn = parseInstant('2026-10-25T12:00:00Z');
    expect(minutesBetween(startOfDay(spring, vienna), startOfDay(spring, vienna, 1))).toBe(23 * 60);
    expect(minutesBetween(startOfDay(autumn, vienna), startOfDay(autumn, vienna, 1))).toBe(25 * 60);
  });

  it('counts days by the local calendar, not by 24 hours', () => {
    const late = parseInstant('2026-03-28T23:30:00+01:00');
    const early = parseInstant('2026-03-29T00:30:00+01:00');
    expect(calendarDaysBetween(late, early, vienna)).toBe(1);
    expect(calendarDaysBetween(early, late, vienna)).toBe(-1);
    expect(localDate(early, vienna)).toBe('2026-03-29');
  });
});

describe('calendar days between two moments', () => {
  // Samoa went from the 29th to the 31st of December 2011 (IANA time zone database, Pacific/Apia); luxon counts the days another way.
  it.each(['Europe/Vienna', 'Pacific/Apia', 'America/St_Johns', 'UTC', 'Asia/Kathmandu'])(
    'are as in the calendar of %s',
    (zone) => {
      const moment = fc.date({ min: new Date('2011-01-01'), max: new Date('2012-12-31'), noInvalidDate: true });
      fc.assert(
        fc.property(moment, moment, (a, b) => {
          const [from, to] = [instantFromMillis(a.getTime()), instantFromMillis(b.getTime())];
          const days = inZone(to, zone).startOf('day').diff(inZone(from, zone).startOf('day'), 'days').days;
          expect(calendarDaysBetween(from, to, zone)).toBe(Math.round(days));
        }),
      );
    },
  );
});

describe('latestWallTime', () => {
  const at = (text: string): Instant => parseInstant(text);

  it('takes today when the time has passed, else yesterday', () => {
    const present = at('2026-11-23T10:00:00+01:00');
    expect(shown(latestWallTime('09:30', present, vienna))).toBe('2026-11-23 09:30');
    expect(shown(latestWallTime('22:15', present, vienna))).toBe('2026-11-22 22:15');
  });

  it('takes the second of two equal times, unless it has not come yet', () => {
    expect(latestWallTime('02:30', at('2026-10-25T06:00:00+01:00'), vienna)).toBe('2026-10-25T01:30:00.000Z');
    expect(latestWallTime('02:30', at('2026-10-25T02:40:00+02:00'), vienna)).toBe('2026-10-25T00:30:00.000Z');
  });

  it('moves a time that the clock skipped', () => {
    expect(shown(latestWallTime('02:30', at('2026-03-29T08:00:00+02:00'), vienna))).toBe('2026-03-29 03:30');
  });

  it.each(['', '25:00', '7', '12:60', 'noon'])('refuses %j', (text) => {
    expect(() => latestWallTime(text, at('2026-11-23T10:00:00Z'), vienna)).toThrow('time_unreadable');
  });
});

describe('toMillis', () => {
  it('reads what `Date` reads, in every year that there is', () => {
    const [first, last] = [Date.UTC(1900, 0, 1), Date.UTC(2199, 11, 31, 23, 59, 59, 999)];
    fc.assert(
      fc.property(fc.integer({ min: first, max: last }), (milliseconds) => {
        expect(toMillis(instantFromMillis(milliseconds))).toBe(milliseconds);
      }),
      { numRuns: 2_000 },
    );
    for (let year = 1900; year < 2200; year += 1)
      for (const day of ['01-01', '02-28', '03-01', '12-31'])
        expect(toMillis(parseInstant(`${year}-${day}T00:00:00.000Z`))).toBe(Date.parse(`${year}-${day}T00:00:00.000Z`));
  });
});

describe('parseInstant', () => {
  it('reads what Luxon writes as Luxon means it', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 4e12 }),
        fc.constantFrom('Europe/Vienna', 'America/St_Johns', 'UTC'),
        (milliseconds, zone) => {
          expect(parseInstant(DateTime.fromMillis(milliseconds, { zone }).toISO() ?? '')).toBe(
            instantFromMillis(milliseconds),
          );
        },
      ),
    );
  });

  it('wants an offset', () => {
    expect(tryParseInstant('2026-11-23T10:00:00')).toBeUndefined();
    expect(tryParseInstant('2026-11-23')).toBeUndefined();
    expect(tryParseInstant('tomorrow')).toBeUndefined();
    expect(tryParseInstant('2026-02-30T10:00:00Z')).toBeUndefined();
    expect(tryParseInstant('2026-13-01T10:00:00Z')).toBeUndefined();
    expect(tryParseInstant('2028-02-29T10:00Z')).toBe('2028-02-29T10:00:00.000Z');
    expect(parseInstant('2026-11-23T10:00:00+01:00')).toBe('2026-11-23T09:00:00.000Z');
  });
});
