import { asId, type PointId } from '../../../kernel/ids';
import { addMinutes, parseInstant, toMillis, instantFromMillis } from '../../../kernel/time/instant';
import type { OperationContext } from '../../../operations/operation';
import { localDate, timeOfDay, type LocalDay } from '../../../kernel/time/local-day';
import { aPoint } from '../../../testing/builders';
import { aPlan } from '../../../testing/plan-builders';
import { chanceOf } from '../../../testing/chance';
import { afterRunning, isSeason, runningDays, runsFrom } from './idle-season';
import { meterDue } from './meter-due';
import { nextOn } from './rule';
import { nextDue } from './next-due';
import { lastEnded } from './plan-work';
import type { MeasuringPoint } from '../../plant/plant/plant';
import { withReading } from '../../steps/readings/reading';
import type { LastEnded, Plan, Trigger } from './plan';

const zone = 'Europe/Vienna';
const day = (text: string): LocalDay => text as LocalDay;
const pointId = asId<PointId>('hours');
const DAY = 86_400_000;

const done = (dueOn: string, endedOn = dueOn, more: Partial<LastEnded> = {}): LastEnded => ({
  dueOn: day(dueOn),
  endedOn: day(endedOn),
  at: timeOfDay(day(endedOn), 12 * 60, zone),
  was: 'done',
  meters: {},
  ...more,
});
const due = (plan: Partial<Plan>, readings: readonly (readonly [string, number])[] = []) =>
  nextDue(
    aPlan(plan),
    () => ({ latest: readings.map(([at, value]) => ({ at: parseInstant(`${at}T12:00:00Z`), value })) }),
    zone,
    nextOn,
  );
const dates = (rule: string, from = '2026-01-01'): Trigger => ({ kind: 'dates', rule, from: day(from) });
const after = (every: number, unit: 'day' | 'week' | 'month' | 'year'): Trigger => ({
  kind: 'completion',
  every,
  unit,
});
const hours = (every: number, from = 0): Trigger => ({ kind: 'meter', pointId, every, from });

describe('when a plan is due next', () => {
  // Common practice, as the trade counts.
  it.each([
    ['2026-03-10', after(3, 'month'), '2026-06-10'],
    ['2028-02-29', after(5, 'year'), '2033-02-28'],
    ['2026-01-31', after(1, 'month'), '2026-02-28'],
    ['2028-01-31', after(1, 'month'), '2028-02-29'],
    ['2026-03-28', after(1, 'day'), '2026-03-29'],
    ['2026-10-24', after(2, 'day'), '2026-10-26'],
  ])('done on %s, it counts from that', (endedOn, trigger, on) => {
    expect(due({ triggers: [trigger], last: done('2026-01-01', endedOn) })).toEqual({
      on,
      by: 'completion',
      spread: null,
    });
  });

  it('is due for the first time when it starts, or on the first of its dates after that', () => {
    expect(due({ startsOn: day('2026-05-04') })?.on).toBe('2026-05-04');
    expect(due({ startsOn: day('2026-05-04'), triggers: [dates('FREQ=MONTHLY')] })?.on).toBe('2026-06-01');
  });

  it.each([
    ['early: its own date counts as done', '2026-06-01', '2026-05-20', '2026-07-01'],
    ['on its day', '2026-06-01', '2026-06-01', '2026-07-01'],
    ['late', '2026-06-01', '2026-06-20', '2026-07-01'],
    ['so late that a date went by, which is not made up for', '2026-06-01', '2026-07-03', '2026-08-01'],
  ])('by fixed dates it stays on them, done %s', (_, dueOn, endedOn, on) => {
    expect(due({ triggers: [dates('FREQ=MONTHLY')], last: done(dueOn, endedOn) })?.on).toBe(on);
  });

  it('leaves out dates that were taken out, and what was dropped counts from the day it was due', () => {
    const except = [day('2026-07-01'), day('2026-08-01')];
    expect(due({ triggers: [dates('FREQ=MONTHLY')], except, last: done('2026-06-01') })?.on).toBe('2026-09-01');
    expect(due({ last: done('2026-03-10', '2026-04-02', { was: 'dropped' }) })?.on).toBe('2026-06-10');
  });

  it('waits, where nothing runs, for the first day on which something does', () => {
    const idle = [{ from: '05-01', to: '11-30' }];
    expect(due({ triggers: [dates('FREQ=MONTHLY')], idle, last: done('2026-04-01') })?.on).toBe('2026-12-01');
    expect(due({ triggers: [dates('FREQ=MONTHLY')], idle, last: done('2026-12-01') })?.on).toBe('2027-01-01');
    expect(due({ idle, last: done('2026-02-10') })?.on).toBe('2026-12-01');
    expect(due({ idle: [{ from: '11-15', to: '02-10' }], last: done('2026-09-01') })?.on).toBe('2027-02-11');
  });

  it('is not due any more after the last of its dates', () => {
    expect(due({ triggers: [dates('FREQ=MONTHLY;UNTIL=20260615T000000Z')], last: done('2026-06-01') })).toBeNull();
  });

  it('is due by a meter when that comes to it, by its usage a day, and on the day it came to it once it has', () => {
    const steady = [
      ['2026-06-01', 1_000],
      ['2026-06-11', 1_100],
      ['2026-06-21', 1_200],
      ['2026-07-01', 1_300],
    ] as const;
    const last = done('2026-06-01', '2026-06-01', { meters: { [pointId]: 1_000 } });
    expect(due({ triggers: [hours(500)], last }, steady)).toEqual({
      on: '2026-07-21',
      by: 'meter',
      spread: { from: '2026-07-21', to: '2026-07-21' },
    });
    expect(due({ triggers: [hours(250)], last }, steady)).toEqual({ on: '2026-07-01', by: 'meter', spread: null });
    expect(due({ triggers: [hours(1_500)], last: null }, steady)?.on).toBe('2026-07-21');
  });

  it('is due by whichever comes first', () => {
    const steady = [
      ['2026-06-01', 0],
      ['2026-07-01', 300],
    ] as const;
    const last = done('2026-06-01', '2026-06-01', { meters: { [pointId]: 0 } });
    const triggers = [hours(500), after(6, 'month'), dates('FREQ=YEARLY')];
    expect(due({ triggers, last }, steady)).toMatchObject({ by: 'meter', on: '2026-07-21' });
    expect(due({ triggers: [hours(5_000), after(6, 'month')], last }, steady)).toMatchObject({
      by: 'completion',
      on: '2026-12-01',
    });
  });

  it('counts only days on which the machine runs, for a meter', () => {
    const idle = [{ from: '07-01', to: '07-31' }];
    const steady = [
      ['2026-06-01', 0],
      ['2026-06-21', 200],
    ] as const;
    expect(due({ triggers: [hours(400, 0)], idle }, steady)?.on).toBe('2026-08-11');
  });

  it('says nothing where nothing is known of a meter, or it stands still', () => {
    expect(due({ triggers: [hours(500)] })).toBeNull();
    expect(due({ triggers: [hours(500)] }, [['2026-06-01', 10]])).toBeNull();
    expect(
      due({ triggers: [hours(500)] }, [
        ['2026-06-01', 10],
        ['2026-06-21', 10],
      ]),
    ).toBeNull();
    expect(nextDue(aPlan({ triggers: [hours(500)] }), () => undefined, zone, nextOn)).toBeNull();
  });

  it('counts what a meter went on by over a roll-over', () => {
    const latest = [99_900, 99_950, 50].map((value, index) => ({
      at: instantFromMillis(toMillis(parseInstant('2026-06-01T00:00:00Z')) + index * 10 * DAY),
      value,
    }));
    const meter = { latest, rollsOverAt: 100_000 };
    const since = { value: 99_900, at: latest[0]?.at ?? null };
    const found = meterDue(meter, since, 225, []);
    // 150 used in 20 days, 75 are left: ten days more.
    expect(localDate(instantFromMillis((found?.at ?? 0) * DAY), 'utc')).toBe('2026-07-01');
  });
});

describe('the spread of a day that a meter makes', () => {
  it('holds the true day about nine times of ten, for usage that comes unevenly', () => {
    const { normal } = chanceOf(11);
    const begin = toMillis(parseInstant('2026-01-01T00:00:00Z'));
    let within = 0;
    const rounds = 2_000;
    for (let round = 0; round < rounds; round += 1) {
      let used = 0;
      const latest = [];
      let now = 0;
      const step = (): void => {
        now += 1;
        used += Math.max(0, 10 + 4 * normal());
      };
      for (let reading = 0; reading < 5; reading += 1) {
        latest.push({ at: instantFromMillis(begin + now * DAY), value: used });
        for (let each = 0; each < 10; each += 1) step();
      }
      const last = latest.at(-1);
      // What comes after the last reading is not known: it runs anew from there.
      [now, used] = [40, last?.value ?? 0];
      const every = used + 300;
      const found = meterDue({ latest }, { value: 0, at: null }, every, []);
      while (used < every) step();
      const truth = begin / DAY + now;
      if (found?.spread != null && found.spread.from - 1 <= truth && truth <= found.spread.to + 1) within += 1;
    }
    expect(within / rounds).toBeGreaterThan(0.86);
    expect(within / rounds).toBeLessThan(0.97);
  });
});

describe('a season in which nothing runs', () => {
  it.each([
    ['05-01', '11-30', true],
    ['11-15', '02-10', true],
    ['01-01', '12-31', false],
    ['05-01', '04-30', false],
    ['02-29', '03-10', false],
    ['13-01', '14-01', false],
    ['may', 'june', false],
  ])('from %s to %s is one of a year: %s', (from, to, isOne) => {
    expect(isSeason({ from, to })).toBe(isOne);
  });

  it('is passed over day by day as by hand', () => {
    const idle = [
      { from: '11-15', to: '02-10' },
      { from: '02-05', to: '03-01' },
    ];
    const rests = (text: string): boolean => text.slice(5) >= '11-15' || text.slice(5) <= '03-01';
    const begin = toMillis(parseInstant('2026-09-01T00:00:00Z')) / DAY;
    const dayAt = (at: number): LocalDay => localDate(instantFromMillis(at * DAY), 'utc');
    let ran = 0;
    for (let each = 0; each < 800; each += 1) {
      const at = begin + each;
      expect(runningDays(begin, at, idle)).toBe(ran);
      if (rests(dayAt(at))) {
        expect(runsFrom(dayAt(at), idle).slice(5)).toBe('03-02');
      } else {
        expect(runsFrom(dayAt(at), idle)).toBe(dayAt(at));
        if (ran > 0) expect(afterRunning(begin, ran + 0.5, idle)).toBe(at + 0.5);
        ran += 1;
      }
    }
  });
});

describe('a meter that is read often', () => {
  it('makes due on the same day whether or not its replacement or roll-over is among the readings that are kept', () => {
    const context = (dayAt: number) =>
      ({ at: addMinutes(parseInstant('2026-01-01T08:00:00Z'), dayAt * 1_440) }) as OperationContext;
    const read = (from: MeasuringPoint, dayAt: number, value: number, replacedAt?: number) =>
      withReading(from, value, context(dayAt), replacedAt);
    // Ten hours a day since the work was done at 1,000 h; the meter is replaced on day 20, at 1,200 h, by one that begins at 0.
    const begun = read(aPoint({ isMeter: true, latest: [] }), 0, 1_000);
    const ended = lastEnded(
      { triggers: [{ kind: 'meter', pointId: begun.id, every: 1_000, from: 0 }] },
      day('2026-01-01'),
      'done',
      context(0).at,
      { zone, pointOf: () => begun },
    );
    const plan = aPlan({
      triggers: [{ kind: 'meter', pointId: begun.id, every: 1_000, from: 0 }],
      startsOn: day('2026-01-01'),
      last: ended,
    });
    let point = read(begun, 10, 1_100);
    point = read(point, 20, 1_200, 0);
    const dueOn = (): string | undefined => nextDue(plan, () => point, zone, nextOn)?.on;
    const days = new Set<string | undefined>();
    for (let at = 30; at <= 80; at += 5) {
      point = read(point, at, (at - 20) * 10);
      days.add(dueOn());
    }
    expect([...days]).toEqual([localDate(context(100).at, zone)]);
    // The same over the top of a meter of four digits.
    point = { ...begun, rollsOverAt: 10_000, latest: [] };
    point = read(point, 0, 9_800);
    const over = { ...plan, last: { ...ended, meters: { [point.id]: 9_800 }, used: { [point.id]: 9_800 } } };
    const rolled = new Set<string | undefined>();
    for (let at = 10; at <= 90; at += 5) {
      point = read(point, at, (9_800 + at * 10) % 10_000);
      rolled.add(nextDue(over, () => point, zone, nextOn)?.on);
    }
    expect([...rolled]).toEqual([localDate(context(100).at, zone)]);
  });
});

describe('a machine that runs a month in the year', () => {
  it('has run a year after twelve of them, and never where nothing is left of the year', () => {
    const idle = [{ from: '02-01', to: '12-31' }];
    const begin = toMillis(parseInstant('2026-01-01T00:00:00Z')) / DAY;
    const at = afterRunning(begin, 365, idle);
    expect(runningDays(begin, at, idle)).toBe(365);
    expect(localDate(instantFromMillis(at * DAY), 'utc').slice(0, 4)).toBe('2037');
    const always = [...idle, { from: '12-15', to: '02-10' }];
    expect(afterRunning(begin, 1, always)).toBe(Infinity);
  });
});

describe('a time of the day', () => {
  it('is that of the clocks of the place, also on the days on which they change', () => {
    expect(timeOfDay(day('2026-03-29'), 16 * 60, zone)).toBe('2026-03-29T14:00:00.000Z');
    expect(timeOfDay(day('2026-03-28'), 16 * 60, zone)).toBe('2026-03-28T15:00:00.000Z');
    // 02:30 is not there on that day.
    expect(timeOfDay(day('2026-03-29'), 150, zone)).toBe('2026-03-29T01:30:00.000Z');
  });
});
