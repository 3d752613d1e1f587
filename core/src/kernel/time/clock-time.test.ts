import fc from 'fast-check';
import { addMinutes, instantFromMillis, type Instant } from './instant';
import { clockText, latestTyped, readClockTime, readMoment } from './clock-time';
import { inZone, latestWallTime } from './zone';

const zone = 'Europe/Vienna';
/** 15:46 in Vienna. */
const present = '2026-11-23T14:46:00.000Z' as Instant;
const shown = (at: Instant): string => inZone(at, zone).toFormat('d HH:mm');

describe('a time of day', () => {
  it.each([
    ['14:20', 14, 20],
    ['14.20', 14, 20],
    ['14,20', 14, 20],
    ['1420', 14, 20],
    ['920', 9, 20],
    ['0920', 9, 20],
    ['14h20', 14, 20],
    ['14 h 20', 14, 20],
    ['2:20 pm', 14, 20],
    ['2.20 p.m.', 14, 20],
    ['4', 4, 0],
    ['4h', 4, 0],
    ['4 pm', 16, 0],
    ['12 am', 0, 0],
    ['12pm', 12, 0],
    ['0:05', 0, 5],
    [' 7:40 ', 7, 40],
  ])('%s', (text, hour, minute) => {
    expect(readClockTime(text)).toEqual({ hour, minute, daysAgo: null });
  });

  it.each([
    ['yesterday 14.20', 14, 20, 1],
    ['20:00 yesterday', 20, 0, 1],
    ['Yesterday at 8 pm', 20, 0, 1],
    ['today 7', 7, 0, 0],
  ])('with its day: %s', (text, hour, minute, daysAgo) => {
    expect(readClockTime(text)).toEqual({ hour, minute, daysAgo });
  });

  it.each([
    '',
    'soon',
    '25',
    '24:00',
    '14:60',
    '1:5',
    '13 pm',
    '0 am',
    '12345',
    'yesterday',
    'not yesterday 14:20',
    '-4',
  ])('is not guessed from %j', (text) => {
    expect(readClockTime(text)).toBeNull();
  });

  it('is read back in every form that is written', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 23 }), fc.integer({ min: 0, max: 59 }), (hour, minute) => {
        const clock = clockText({ hour, minute });
        for (const text of [clock, clock.replace(':', '.'), clock.replace(':', ''), `${clock} today`])
          expect(readClockTime(text)).toMatchObject({ hour, minute });
      }),
    );
  });
});

describe('the moment that is meant', () => {
  it('is today, and yesterday only where that is said', () => {
    expect(readMoment('14.20', present, zone)).toEqual({ is: 'at', at: '2026-11-23T13:20:00.000Z' });
    expect(readMoment('yesterday 14.20', present, zone)).toEqual({ is: 'at', at: '2026-11-22T13:20:00.000Z' });
    expect(readMoment('soon', present, zone)).toEqual({ is: 'unreadable' });
  });

  it('that has not come yet is asked about', () => {
    expect(readMoment('20:00', present, zone)).toEqual({
      is: 'notYet',
      yesterday: '2026-11-22T19:00:00.000Z',
      clock: '20:00',
    });
    expect(readMoment('today 20:00', present, zone)).toMatchObject({ is: 'notYet' });
  });

  it('lies never after the present, and shows what was typed, on any day and in any zone', () => {
    const zones = ['Europe/Vienna', 'America/St_Johns', 'Asia/Kathmandu', 'UTC', 'Australia/Lord_Howe'];
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 400 * 24 * 60 }),
        fc.integer({ min: 0, max: 24 * 60 - 1 }),
        fc.constantFrom(...zones),
        (after, ofDay, in_) => {
          const now = addMinutes(instantFromMillis(Date.UTC(2026, 0, 1)), after);
          const clock = clockText({ hour: Math.floor(ofDay / 60), minute: ofDay % 60 });
          const read = readMoment(clock, now, in_);
          if (read.is === 'unreadable') throw new Error(`${clock} is not read`);
          const at = read.is === 'at' ? read.at : read.yesterday;
          expect(at <= now).toBe(true);
          const local = inZone(at, in_);
          // A time that the clock skipped on that day is moved on with it.
          if (local.toFormat('HH:mm') !== clock) expect(inZone(addMinutes(at, -61), in_).offset).not.toBe(local.offset);
          expect(read.is === 'at').toBe(local.hasSame(inZone(now, in_), 'day'));
          expect(latestTyped(clock, now, in_)).toBe(latestWallTime(clock, now, in_));
        },
      ),
      { numRuns: 500 },
    );
    expect(shown(latestTyped('20.00', present, zone) ?? present)).toBe('22 20:00');
  });
});
