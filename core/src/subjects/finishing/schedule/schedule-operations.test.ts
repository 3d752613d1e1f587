import type { LocalDay } from '../../../kernel/time/local-day';
import { addMinutes, parseInstant } from '../../../kernel/time/instant';
import { ann, anAsset, aRaise, aWorkOrder, bob, lea, noon, put, someSettings, workId } from '../../../testing/builders';
import { aPlan } from '../../../testing/plan-builders';
import { codeOf, minutesLater, Works } from '../../../testing/works';
import { comingDays } from '../shift/by-time';
import { compareForShift, shiftGroupOf, shiftTimes } from '../shift/shift-order';
import { currentOf } from '../../orders/work/entries';
import { isPutOff } from './schedule';

const onWork = { workOrderId: workId };
const { zone } = someSettings();
const day = (text: string): LocalDay => text as LocalDay;
const tomorrow = day('2026-11-24');
const reason = 'Something more urgent first';

describe('how far ahead work may be moved', () => {
  const far = day('2199-01-01');
  it.each([
    ['put off', 'work.put-off', { until: far, reason }],
    ['due', 'work.set-due', { dueAt: '2199-01-01T00:00:00.000Z', reason }],
    ['planned', 'work.plan', { day: far }],
  ] as const)('is two years at most: %s', async (_, name, args) => {
    expect(codeOf(await new Works().do(name, { ...onWork, ...args } as never, lea))).toBe('day_too_far');
  });

  it('also where it is raised', async () => {
    const raise = { ...aRaise(), plannedOn: far };
    expect(codeOf(await new Works().do('work.raise', raise))).toBe('day_too_far');
    expect(
      codeOf(await new Works().do('work.raise', aRaise({ dueAt: parseInstant('2199-01-01T00:00:00.000Z') }))),
    ).toBe('day_too_far');
  });

  it('is, of planned work and by others than leads, before its plan makes it due again', async () => {
    const plan = { planId: aPlan().id, occurrence: 1, dueOn: day('2026-11-30') };
    const works = new Works({ plan });
    works.records.change([put('plans', aPlan())]);
    const putOff = (until: string, by = ann) => works.do('work.put-off', { ...onWork, until: day(until), reason }, by);
    expect(await putOff('2027-02-28')).toMatchObject({ code: 'beyond_plan', values: { day: '2027-02-28' } });
    expect(codeOf(await putOff('2027-02-27'))).toBe('accepted');
    expect(codeOf(await putOff('2027-03-10', lea))).toBe('accepted');
  });
});

describe('putting work off', () => {
  it('takes it from the list until the day begins there, and it comes back by itself', async () => {
    const works = new Works();
    expect(codeOf(await works.do('work.put-off', { ...onWork, until: tomorrow, reason }))).toBe('accepted');
    const work = works.work ?? aWorkOrder();
    const groupAt = (at: string) => shiftGroupOf(work, shiftTimes(parseInstant(at), zone));
    expect(groupAt('2026-11-23T23:59:00+01:00')).toBe('putOff');
    expect(groupAt('2026-11-24T00:00:00+01:00')).toBe('shift');
    expect(isPutOff(work, addMinutes(noon, 24 * 60), zone)).toBe(false);
  });

  it('is counted, and each time stands in the record with its reason', async () => {
    const works = new Works();
    await works.do('work.put-off', { ...onWork, until: tomorrow, reason });
    await works.do('work.take-up', onWork, ann, minutesLater(1));
    await works.do('work.put-off', { ...onWork, until: day('2026-11-26'), reason: 'Weather' }, ann, minutesLater(2));
    expect(works.work).toMatchObject({
      timesPutOff: 2,
      putOff: { until: '2026-11-26', reason: 'Weather', by: ann.id },
    });
    expect(currentOf(works.entries, 'schedule').map(({ content }) => content.change.of)).toEqual([
      'putOff',
      'takenUp',
      'putOff',
    ]);
  });

  it('stops the own clock, and waits for that of a mate', async () => {
    const works = new Works({ personIds: [ann.id, bob.id] });
    await works.do('clock.start', onWork, bob);
    const args = { ...onWork, until: tomorrow, reason };
    expect(codeOf(await works.do('work.put-off', args, ann, minutesLater(5)))).toBe('put_off_clock_runs');
    expect(codeOf(await works.do('work.put-off', args, bob, minutesLater(5)))).toBe('accepted');
    expect(currentOf(works.entries, 'labor')).toHaveLength(1);
    expect(works.records.peekAll('clocks')).toEqual([]);
  });

  it('ends when somebody works on it', async () => {
    const works = new Works();
    await works.do('work.put-off', { ...onWork, until: tomorrow, reason });
    await works.do('clock.start', onWork, ann, minutesLater(5));
    expect(works.work).toMatchObject({ state: 'underway', putOff: null, timesPutOff: 1 });
  });

  it.each([
    ['to a day that has begun', {}, { until: day('2026-11-23') }, 'put_off_to_the_past'],
    ['that is needed now', { urgency: 'now' as const }, {}, 'put_off_needed_now'],
    ['without a reason', {}, { reason: ' ' }, 'invalid'],
    ['to no day of the calendar', {}, { until: day('2026-11-31') }, 'invalid'],
    ['that is finished', { state: 'finished' as const, finishedAt: noon }, {}, 'work_order_closed'],
  ])('is refused %s', async (_, work, args, code) => {
    const outcome = await new Works(work).do(
      'work.put-off',
      { ...onWork, until: tomorrow, reason, ...args },
      ann,
      minutesLater(1),
    );
    expect(codeOf(outcome)).toBe(code);
  });
});

describe('urgency, due time and planned day', () => {
  it('are changed with a reason, and what they were stays readable', async () => {
    const works = new Works({ urgency: 'week' });
    const dueAt = minutesLater(600);
    await works.do('work.set-urgency', { ...onWork, urgency: 'now', reason: 'It stands still' });
    await works.do('work.set-due', { ...onWork, dueAt, reason: 'Agreed' }, ann, minutesLater(1));
    await works.do('work.plan', { ...onWork, day: tomorrow }, ann, minutesLater(2));
    expect(works.work).toMatchObject({ urgency: 'now', dueAt, plannedOn: tomorrow });
    expect(currentOf(works.entries, 'schedule').map(({ content }) => content)).toMatchObject([
      { change: { of: 'urgency', from: 'week', to: 'now' }, reason: 'It stands still' },
      { change: { of: 'due', from: null, to: dueAt }, reason: 'Agreed' },
      { change: { of: 'planned', from: null, to: tomorrow }, reason: '' },
    ]);
  });

  it('to what they are already are refused', async () => {
    const works = new Works({ urgency: 'week' });
    expect(codeOf(await works.do('work.set-urgency', { ...onWork, urgency: 'week', reason }))).toBe(
      'schedule_unchanged',
    );
    expect(codeOf(await works.do('work.set-due', { ...onWork, dueAt: null, reason }))).toBe('schedule_unchanged');
    expect(codeOf(await works.do('work.plan', { ...onWork, day: null }))).toBe('schedule_unchanged');
  });

  it('put it where it belongs in the list', async () => {
    const works = new Works({ urgency: 'week', number: 'W-9' });
    works.records.change([put('assets', anAsset())]);
    const other = { work: aWorkOrder({ urgency: 'shift', number: 'W-1' }), asset: anAsset() };
    const before = { work: works.work ?? aWorkOrder(), asset: anAsset() };
    expect(compareForShift(before, other, noon)).toBeGreaterThan(0);
    await works.do('work.set-urgency', { ...onWork, urgency: 'now', reason });
    expect(compareForShift({ ...before, work: works.work ?? aWorkOrder() }, other, noon)).toBeLessThan(0);
  });
});

it('tells what comes on the next days: planned, due, or back from being put off', () => {
  const works = [
    aWorkOrder({ number: 'planned', plannedOn: tomorrow, dueAt: minutesLater(4 * 24 * 60), estimateMinutes: 30 }),
    aWorkOrder({ number: 'due', dueAt: minutesLater(60), estimateMinutes: 45 }),
    aWorkOrder({
      number: 'put off',
      dueAt: minutesLater(60),
      putOff: { until: day('2026-11-25'), reason, by: ann.id, at: noon },
    }),
    aWorkOrder({ number: 'done', dueAt: minutesLater(60), state: 'finished' }),
    aWorkOrder({ number: 'some day' }),
  ];
  const days = comingDays(works, noon, zone, 3);
  expect(days.map((each) => [each.day, each.works.map(({ number }) => number), each.estimateMinutes])).toEqual([
    ['2026-11-23', ['due'], 45],
    ['2026-11-24', ['planned'], 30],
    ['2026-11-25', ['put off'], 60],
  ]);
});
