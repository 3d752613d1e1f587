import fc from 'fast-check';
import { aCrew, anAsset, ann, aWorkOrder, bob, noon } from '../../../testing/builders';
import { addMinutes, parseInstant } from '../../../kernel/time/instant';
import type { Asset } from '../../plant/plant/plant';
import { urgencies, type WorkOrder } from '../../orders/work/work-order';
import { compareForShift, isInSight, isLate, rankReasons, shiftGroupOf, shiftTimes, type Ranked } from './shift-order';
import { isAssignedTo } from '../../orders/work/assignment';

const zone = 'Europe/Vienna';
const hours = (count: number) => addMinutes(noon, count * 60);
const ranked = (work: Parameters<typeof aWorkOrder>[0], asset: Parameters<typeof anAsset>[0] = {}): Ranked => ({
  work: aWorkOrder(work),
  asset: anAsset(asset),
});
const sorted = (list: readonly Ranked[]): string[] =>
  [...list].sort((a, b) => compareForShift(a, b, noon)).map(({ work }) => work.number);

describe('the order of the shift', () => {
  it('puts what is needed now first, then urgent, standing still, critical, due; late counts as one urgency more', () => {
    expect(
      sorted([
        ranked({ number: 'due later', urgency: 'week', dueAt: hours(9) }),
        ranked({ number: 'due sooner', urgency: 'week', dueAt: hours(8) }),
        ranked({ number: 'critical', urgency: 'week', dueAt: hours(9) }, { criticality: 1 }),
        ranked({ number: 'stopped', urgency: 'week', dueAt: hours(9) }, { condition: 'stopped', criticality: 4 }),
        ranked({ number: 'now', urgency: 'now', dueAt: hours(9) }, { criticality: 4 }),
        ranked({ number: 'late', urgency: 'free', dueAt: hours(-1) }, { criticality: 4 }),
        ranked({ number: 'late this week', urgency: 'week', dueAt: hours(-1) }, { criticality: 4 }),
      ]),
    ).toEqual(['now', 'late this week', 'stopped', 'critical', 'due sooner', 'due later', 'late']);
  });

  it('puts a lift that stands still and is needed now before all that is late', () => {
    expect(
      sorted([
        ranked({ number: 'free, a day late', urgency: 'free', dueAt: hours(-24) }),
        ranked({ number: 'shift, a day late', urgency: 'shift', dueAt: hours(-24) }, { condition: 'stopped' }),
        ranked({ number: 'now', urgency: 'now', dueAt: hours(2) }, { condition: 'stopped' }),
        ranked({ number: 'now, late', urgency: 'now', dueAt: hours(-2) }, { condition: 'stopped' }),
      ]),
    ).toEqual(['now, late', 'now', 'shift, a day late', 'free, a day late']);
  });

  it('never lets being late go further than one urgency', () => {
    const anyOf = fc.record({
      urgency: fc.constantFrom(...urgencies),
      late: fc.boolean(),
      condition: fc.constantFrom('stopped' as const, 'reduced' as const, 'running' as const),
      criticality: fc.constantFrom(1 as const, 2 as const, 3 as const, 4 as const),
    });
    fc.assert(
      fc.property(anyOf, anyOf, (one, other) => {
        const [a, b] = [one, other].map(({ urgency, late, condition, criticality }, index) =>
          ranked({ number: `W-${index}`, urgency, dueAt: hours(late ? -1 : 1) }, { condition, criticality }),
        );
        if (a === undefined || b === undefined) return;
        const apart = urgencies.indexOf(other.urgency) - urgencies.indexOf(one.urgency);
        // More urgent by two, or by one and as late: it comes first whatever else is so.
        if (apart >= 2 || (apart === 1 && one.late >= other.late) || (apart > 0 && one.urgency === 'now'))
          expect(compareForShift(a, b, noon)).toBeLessThan(0);
        expect(Math.sign(compareForShift(a, b, noon))).toBe(-Math.sign(compareForShift(b, a, noon)));
      }),
    );
  });

  it('is one order, whatever order the rows came in', () => {
    const anyWork = fc.record({
      number: fc.uuid(),
      urgency: fc.constantFrom(...urgencies),
      dueAt: fc.option(fc.integer({ min: -50, max: 50 }).map(hours), { nil: null }),
    });
    fc.assert(
      fc.property(fc.array(anyWork, { maxLength: 12 }), (works) => {
        const list = works.map((work) => ranked(work));
        expect(sorted([...list].reverse())).toEqual(sorted(list));
      }),
    );
  });
});

describe('groups by when', () => {
  const groupOf = (work: Parameters<typeof aWorkOrder>[0]) =>
    shiftGroupOf(aWorkOrder({ urgency: 'free', ...work }), shiftTimes(noon, zone));

  it.each([
    [{ dueAt: hours(-1) }, 'shift'],
    [{ urgency: 'now' as const }, 'now'],
    [{ urgency: 'now' as const, dueAt: hours(-1) }, 'now'],
    [{ dueAt: parseInstant('2026-11-23T23:59:00+01:00') }, 'shift'],
    [{ dueAt: parseInstant('2026-11-24T00:00:00+01:00') }, 'week'],
    [{ urgency: 'week' as const }, 'week'],
    [{ dueAt: hours(24 * 20) }, 'later'],
    [{}, 'later'],
    [{ state: 'finished' as const, dueAt: hours(-5) }, 'done'],
  ])('%j is %s', (work, group) => {
    expect(groupOf(work)).toBe(group);
  });

  it('does not call finished work late', () => {
    expect(isLate(aWorkOrder({ state: 'finished', dueAt: hours(-5) }), noon)).toBe(false);
  });
});

describe('whose work it is', () => {
  it('is the named people’s and the crew’s', () => {
    const crew = aCrew();
    const ofCrew = aWorkOrder({ personIds: [], crewId: crew.id });
    expect(isAssignedTo(aWorkOrder(), ann.id, undefined)).toBe(true);
    expect(isAssignedTo(aWorkOrder(), bob.id, undefined)).toBe(false);
    expect(isAssignedTo(ofCrew, bob.id, crew)).toBe(true);
    expect(isAssignedTo(ofCrew, ann.id, crew)).toBe(false);
    expect(isAssignedTo(ofCrew, bob.id, undefined)).toBe(false);
  });
});

describe('why it stands there', () => {
  const reasons = (work: Partial<WorkOrder>, asset: Partial<Asset> = {}): string[] =>
    rankReasons({ work: aWorkOrder(work), asset: anAsset(asset) }, noon, zone).map((reason) => reason.is);

  it('names the terms of the order in their order, and only those that say something', () => {
    const late = { dueAt: addMinutes(noon, -3 * 1_440) };
    expect(reasons(late, { condition: 'stopped' })).toEqual(['urgency', 'late', 'condition', 'criticality']);
    expect(reasons({ dueAt: addMinutes(noon, 60) })).toEqual(['urgency', 'criticality', 'due']);
    expect(reasons({ state: 'finished' })).toEqual(['ended']);
    expect(rankReasons({ work: aWorkOrder(late), asset: undefined }, noon, zone)[1]).toEqual({ is: 'late', days: 3 });
  });

  it('lets ended work go at the end of the shift after the one it ended in', () => {
    const ended = (minutes: number) =>
      isInSight(
        { finishedAt: addMinutes(noon, minutes), closedAt: null, lastTransition: null },
        shiftTimes(noon, zone),
      );
    // It is Monday noon: what ended on Sunday is in sight until Monday midnight, what ended on Saturday is not.
    expect([ended(-60), ended(-24 * 60), ended(-48 * 60)]).toEqual([true, true, false]);
    expect(isInSight({ finishedAt: null, closedAt: null, lastTransition: null }, shiftTimes(noon, zone))).toBe(true);
  });
});
