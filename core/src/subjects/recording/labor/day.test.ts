import fc from 'fast-check';
import { addMinutes, minutesBetween } from '../../../kernel/time/instant';
import { noon } from '../../../testing/builders';
import { minutesLater } from '../../../testing/works';
import { dayOf, overlapsAmong, without, type DayTime } from './day';

const DAY = 300;
const day = { from: noon, to: minutesLater(DAY) };

const aTime = (from: number, minutes: number, workOrderId: string | null = 'w-1'): DayTime => ({
  id: `${from}+${minutes}`,
  from: minutesLater(from),
  to: minutesLater(from + minutes),
  workOrderId,
});

const someTimes = fc.array(
  fc
    .tuple(
      fc.integer({ min: -60, max: DAY + 30 }),
      fc.integer({ min: 1, max: 150 }),
      fc.constantFrom('w-1', 'w-2', null),
    )
    .map(([from, minutes, workOrderId]) => aTime(from, minutes, workOrderId)),
  { maxLength: 8 },
);

/** Another way to count: minute by minute. */
const minutesWhere = (holds: (at: string) => boolean): number =>
  Array.from({ length: DAY }, (_, minute) => minutesLater(minute)).filter(holds).length;
const covers = (times: readonly { from: string; to: string }[], at: string): boolean =>
  times.some(({ from, to }) => from <= at && at < to);

describe('a day', () => {
  it('counts what a grid of minutes counts, and what is recorded twice once', () => {
    fc.assert(
      fc.property(someTimes, (times) => {
        const { onJobs, onNone, left, gaps } = dayOf(times, day, 240);
        const jobs = times.filter(({ workOrderId }) => workOrderId !== null);
        expect(onJobs).toBe(minutesWhere((at) => covers(jobs, at)));
        expect(onJobs + onNone).toBe(minutesWhere((at) => covers(times, at)));
        expect(left).toBe(Math.max(0, 240 - onJobs - onNone));
        for (const gap of gaps) expect(covers(times, gap.from) || covers([gap], addMinutes(gap.to, 0))).toBe(false);
      }),
    );
  });

  it('says what is recorded twice, two by two', () => {
    fc.assert(
      fc.property(someTimes, (times) => {
        const shared = overlapsAmong(times).reduce((sum, { from, to }) => sum + minutesBetween(from, to), 0);
        const minutes = times.map(({ from, to }) => minutesBetween(from, to));
        const pairs = times.flatMap((a, index) => times.slice(index + 1).map((b) => [a, b] as const));
        const expected = pairs.reduce((sum, [a, b]) => {
          const from = a.from > b.from ? a.from : b.from;
          const to = a.to < b.to ? a.to : b.to;
          return sum + Math.max(0, minutesBetween(from, to));
        }, 0);
        expect(minutes.every((each) => each > 0)).toBe(true);
        expect(shared).toBe(expected);
      }),
    );
  });

  it('says nothing of seconds that lie between two clocks', () => {
    const seconds = (instant: string, by: number) => addMinutes(instant as typeof noon, by / 60);
    const first = { ...aTime(0, 60), to: seconds(minutesLater(60), 25) };
    const second = { ...aTime(60, 60), from: minutesLater(60) };
    const third = { ...aTime(120, 60), from: seconds(minutesLater(120), 40) };
    expect(dayOf([first, second, third], day, 480)).toMatchObject({ gaps: [], overlaps: [] });
  });

  it('has its gaps between the first and the last that is recorded', () => {
    const { gaps } = dayOf([aTime(0, 60), aTime(90, 30), aTime(110, 60)], day, 480);
    expect(gaps).toEqual([{ from: minutesLater(60), to: minutesLater(90) }]);
  });
});

describe('what is left of a time', () => {
  it('is what nothing else covers', () => {
    fc.assert(
      fc.property(
        someTimes,
        fc.integer({ min: 0, max: 200 }),
        fc.integer({ min: 1, max: 100 }),
        (times, from, long) => {
          const span = aTime(from, long);
          const pieces = without(span, times);
          for (let minute = from; minute < from + long; minute += 1) {
            const at = minutesLater(minute);
            expect(covers(pieces, at)).toBe(!covers(times, at));
          }
          expect(pieces.every(({ from: begins, to }) => begins >= span.from && to <= span.to && begins < to)).toBe(
            true,
          );
        },
      ),
    );
  });
});
