import fc from 'fast-check';
import { DateTime } from 'luxon';
import { addMinutes, instantFromMillis, parseInstant, toMillis, type Instant } from '../../../kernel/time/instant';
import { operatingSpans, type WeeklyHours } from '../../../kernel/time/operating-hours';
import { downtimeOf } from './downtime';
import type { StoppageContent } from './stoppages-entries';

const zone = 'Europe/Vienna';
/** The night on which clocks are set back lies within this, and in the other that on which they are set forward. */
const autumn = parseInstant('2026-10-24T12:00:00Z');
const spring = parseInstant('2026-03-28T12:00:00Z');
const DAY = 24 * 60;

type Stoppage = Pick<StoppageContent, 'from' | 'to' | 'extent' | 'lostPercent'>;
const stopped = (from: Instant, to: Instant | null): Stoppage => ({ from, to, extent: 'full' });
const slowed = (from: Instant, to: Instant | null, lostPercent?: number): Stoppage => ({
  from,
  to,
  extent: 'reduced',
  ...(lostPercent === undefined ? {} : { lostPercent }),
});

describe('downtime', () => {
  const at = (minutes: number): Instant => addMinutes(autumn, minutes);
  const window = { from: at(0), to: at(600) };

  it('counts what several stoppages cover once, standing still before running reduced', () => {
    const all = [
      stopped(at(10), at(40)),
      stopped(at(30), at(60)),
      slowed(at(50), at(100), 25),
      slowed(at(90), null, 50),
    ];
    expect(downtimeOf(all, window, null)).toEqual({
      stoppedMinutes: 50,
      reducedMinutes: 540,
      // 30 minutes at a quarter less, then 510 at half.
      lostMinutes: Math.round(50 + 30 * 0.25 + 510 * 0.5),
    });
  });

  it('is nothing outside the window, of what ends before it begins, and of no stoppage', () => {
    const none = { stoppedMinutes: 0, reducedMinutes: 0, lostMinutes: 0 };
    expect(
      downtimeOf([stopped(at(-60), at(-1)), stopped(at(50), at(40)), stopped(at(700), null)], window, null),
    ).toEqual(none);
    expect(downtimeOf([], window, null)).toEqual(none);
  });

  it('by the hours of operation is less than by the calendar', () => {
    const open = [{ from: at(60), to: at(120) }];
    expect(downtimeOf([stopped(at(0), at(90))], window, open).stoppedMinutes).toBe(30);
  });
});

const clock = (minutes: number): string =>
  `${String(Math.floor(minutes / 60)).padStart(2, '0')}:${String(minutes % 60).padStart(2, '0')}`;
/** Quarters of an hour, without those that come twice in autumn, of which a grid cannot tell which is meant. */
const quarters = (most: number) => fc.integer({ min: 0, max: most }).filter((each) => each < 8 || each > 11);

const someHours = fc.array(
  fc
    .record({
      weekday: fc.integer({ min: 1, max: 7 }),
      from: quarters(95),
      to: quarters(96),
    })
    .map(({ weekday, from, to }): WeeklyHours => ({ weekday, from: clock(from * 15), to: clock(to * 15) })),
  { maxLength: 8 },
);

interface Wall {
  readonly at: Instant;
  readonly weekday: number;
  readonly shown: string;
}

/** What the clock on the wall shows in each minute. */
function wallFrom(start: Instant, minutes: number): Wall[] {
  return Array.from({ length: minutes }, (_, minute) => {
    const at = addMinutes(start, minute);
    const wall = DateTime.fromMillis(toMillis(at), { zone });
    return { at, weekday: wall.weekday, shown: wall.toFormat('HH:mm') };
  });
}

/** Whether it runs in a minute, by what the clock on the wall shows in it. */
function isOperating({ weekday: today, shown }: Wall, hours: readonly WeeklyHours[]): boolean {
  const yesterday = today === 1 ? 7 : today - 1;
  return hours.some(({ weekday, from, to }) => {
    const isOvernight = to <= from;
    const isToday = weekday === today && shown >= from && (isOvernight || shown < to);
    return isToday || (isOvernight && weekday === yesterday && shown < to);
  });
}

describe('downtime by operating hours, against a grid of minutes', () => {
  const someStoppages = fc.array(
    fc.record({
      from: fc.integer({ min: -100, max: 2 * DAY }),
      length: fc.option(fc.integer({ min: 0, max: 600 }), { nil: null }),
      percent: fc.option(fc.constantFrom(25, 50), { nil: null }),
    }),
    { maxLength: 6 },
  );

  it.each([
    ['clocks go back', autumn],
    ['clocks go forward', spring],
  ])('is the same where %s', (_name, start) => {
    const end = addMinutes(start, 2 * DAY);
    const walls = wallFrom(start, 2 * DAY);
    fc.assert(
      fc.property(someHours, someStoppages, (hours, given) => {
        const stoppages = given.map(({ from, length, percent }) => {
          const begins = addMinutes(start, from);
          const ends = length === null ? null : addMinutes(begins, length);
          return percent === null ? stopped(begins, ends) : slowed(begins, ends, percent);
        });
        const found = downtimeOf(
          stoppages,
          { from: start, to: end },
          operatingSpans(hours, { from: start, to: end }, zone),
        );
        let [full, reduced, lost] = [0, 0, 0];
        for (const wall of walls) {
          const { at } = wall;
          if (!isOperating(wall, hours)) continue;
          const lasting = stoppages.filter(({ from, to }) => from <= at && (to === null || to > at));
          if (lasting.some(({ extent }) => extent === 'full')) full += 1;
          else if (lasting.length > 0) {
            reduced += 1;
            lost += Math.max(...lasting.map(({ lostPercent = 0 }) => lostPercent)) / 100;
          }
        }
        expect([found.stoppedMinutes, found.reducedMinutes]).toEqual([full, reduced]);
        expect(Math.abs(found.lostMinutes - (full + lost))).toBeLessThanOrEqual(0.5 + 1e-6);
      }),
      { numRuns: 60 },
    );
  });

  it('opens at the first and closes at the last of what the clock shows twice, and where it jumps over what it skips', () => {
    const minutesOf = (from: string, to: string, start: Instant): number =>
      operatingSpans([{ weekday: 7, from, to }], { from: start, to: addMinutes(start, 3 * DAY) }, zone)
        .map((span) => (toMillis(span.to) - toMillis(span.from)) / 60_000)
        .reduce((sum, each) => sum + each, 0);
    expect([minutesOf('01:00', '02:15', autumn), minutesOf('02:15', '04:00', autumn)]).toEqual([135, 165]);
    expect([minutesOf('01:00', '02:15', spring), minutesOf('02:15', '04:00', spring)]).toEqual([60, 60]);
  });

  // IANA time zone database: on these days the clock goes from 00:00 to 01:00.
  it.each([
    ['America/Santiago', '2026-09-06'],
    ['Africa/Cairo', '2026-04-24'],
    ['Asia/Beirut', '2026-03-29'],
    ['America/Havana', '2026-03-08'],
  ])('has every day where the clock skips midnight: %s', (place, day) => {
    const from = DateTime.fromISO(day, { zone: place }).minus({ days: 3 });
    const window = {
      from: instantFromMillis(from.toMillis()),
      to: instantFromMillis(from.plus({ days: 6 }).set({ hour: 23 }).toMillis()),
    };
    const hours = [1, 2, 3, 4, 5, 6, 7].map((weekday) => ({ weekday, from: '08:00', to: '16:00' }));
    expect(operatingSpans(hours, window, place)).toHaveLength(7);
  });

  it('has an hour less on the day on which the clock is set forward, and one more on the other', () => {
    const allDay = [{ weekday: 7, from: '00:00', to: '24:00' }];
    const hoursOf = (start: Instant): number =>
      operatingSpans(allDay, { from: start, to: addMinutes(start, 3 * DAY) }, zone)
        .map(({ from, to }) => (toMillis(to) - toMillis(from)) / 3_600_000)
        .reduce((sum, each) => sum + each, 0);
    expect([hoursOf(spring), hoursOf(autumn)]).toEqual([23, 25]);
    expect(operatingSpans([], { from: spring, to: instantFromMillis(toMillis(spring) + 1) }, zone)).toEqual([]);
  });
});
