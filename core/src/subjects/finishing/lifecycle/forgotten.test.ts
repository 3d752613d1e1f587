import { asId, type PersonId } from '../../../kernel/ids';
import { ann, aPerson, bob, lea, otherSite, put, workId } from '../../../testing/builders';
import { codeOf, minutesLater, Works } from '../../../testing/works';
import { isolationOf } from '../../orders/isolation/isolation';
import type { IsolationPoint, WorkState } from '../../orders/work/work-order';
import { currentOf } from '../../orders/work/entries';
const onWork = { workOrderId: workId };
const main: IsolationPoint = { id: 'main', energy: 'electrical', device: 'Main switch', release: null, test: 'Dead' };

/** A work order that is locked out by Ann and then brought to a state, as by what came late. */
async function lockedOut(state: WorkState): Promise<Works> {
  const works = new Works({ state: 'underway', isolation: [main] });
  const act = (name: 'shutDown' | 'lock', minutes: number) =>
    works.do(
      'isolation.record',
      { ...onWork, act: name, pointId: name === 'lock' ? 'main' : null, ofPersonId: null, reason: '' },
      ann,
      minutesLater(minutes),
    );
  await act('shutDown', 1);
  await act('lock', 2);
  const work = works.work;
  if (work !== undefined) works.records.change([put('workOrders', { ...work, state, finishedAt: minutesLater(5) })]);
  return works;
}

const takeOff = (works: Works, who = ann, of: PersonId | null = null, reason = '') =>
  works.do(
    'isolation.record',
    { ...onWork, act: 'unlock', pointId: 'main', ofPersonId: of, reason },
    who,
    minutesLater(60),
  );

describe('a lock that was left on', () => {
  it.each<[WorkState]>([['finished'], ['accepted'], ['dropped'], ['underway']])(
    'comes off by its owner on work that is %s, also when that was given to others',
    async (state) => {
      const works = await lockedOut(state);
      const work = works.work;
      if (work !== undefined) works.records.change([put('workOrders', { ...work, personIds: [bob.id] })]);
      expect(codeOf(await takeOff(works))).toBe('accepted');
      expect(isolationOf([main], works.entries).points[0]?.locks).toEqual([]);
    },
  );

  it('is recorded off by a lead with the name and the reason, where its owner has left', async () => {
    const works = await lockedOut('finished');
    expect(codeOf(await takeOff(works, lea, ann.id))).toBe('lock_reason_missing');
    expect(codeOf(await takeOff(works, bob, ann.id, 'Gone'))).toBe('lock_of_another');
    expect(codeOf(await takeOff(works, lea, ann.id, 'Left the company'))).toBe('accepted');
    expect(currentOf(works.entries, 'isolation').at(-1)).toMatchObject({
      by: lea.id,
      content: { act: 'unlock', ofPersonId: ann.id, reason: 'Left the company' },
    });
  });

  it('holds up accepting and dropping until it is off', async () => {
    const works = await lockedOut('finished');
    const accept = () => works.do('work.accept', onWork, lea, minutesLater(70));
    expect(await accept()).toMatchObject({ code: 'not_accepted_owed', values: { clockOfAnother: 0, lock: 1 } });
    await takeOff(works);
    expect(codeOf(await accept())).toBe('accepted');
    const open = await lockedOut('underway');
    const drop = () => open.do('work.drop', { ...onWork, reason: 'No need' }, lea, minutesLater(70));
    expect(codeOf(await drop())).toBe('not_dropped_owed');
    await takeOff(open);
    expect(codeOf(await drop())).toBe('accepted');
  });
});

describe('a clock that somebody forgot', () => {
  const stopFor = (works: Works, who = lea, minutes = 30, reason = 'Went home') =>
    works.do(
      'clock.stop-for',
      { ...onWork, personId: ann.id, endedAt: minutesLater(minutes), reason },
      who,
      minutesLater(60),
    );

  it('is stopped by a lead at the time they give, with the reason beside the time', async () => {
    const works = new Works();
    await works.do('clock.start', onWork);
    expect(codeOf(await stopFor(works))).toBe('accepted');
    expect(works.records.peek('clocks', ann.id)).toBeUndefined();
    expect(currentOf(works.entries, 'labor')).toMatchObject([
      { by: lea.id, content: { personId: ann.id, minutes: 30, stoppedBecause: 'Went home', cost: { minor: 3_000 } } },
    ]);
  });

  it('is refused to others, without a reason, to come, before it began, and where none runs', async () => {
    const works = new Works();
    expect(codeOf(await stopFor(works))).toBe('clock_not_running');
    await works.do('clock.start', onWork);
    expect(codeOf(await stopFor(works, bob))).toBe('role_missing');
    expect(codeOf(await stopFor(works, lea, 30, ' '))).toBe('clock_reason_missing');
    expect(codeOf(await stopFor(works, lea, 90))).toBe('labor_in_future');
    expect(codeOf(await stopFor(works, lea, -10))).toBe('labor_not_positive');
    const elsewhere = aPerson({ ...lea, siteIds: [otherSite] });
    expect(codeOf(await stopFor(works, elsewhere))).toBe('not_found');
  });

  it('is stopped by its owner on work in any state', async () => {
    for (const state of ['finished', 'accepted', 'dropped'] as const) {
      const works = new Works();
      await works.do('clock.start', onWork);
      const work = works.work;
      if (work !== undefined) works.records.change([put('workOrders', { ...work, state, personIds: [bob.id] })]);
      const stopped = await works.do('clock.stop', { ...onWork, endedAt: null }, ann, minutesLater(5));
      expect(codeOf(stopped)).toBe('accepted');
    }
  });
});

describe('work whose person nobody knows', () => {
  it('is not booked for people of other sites', async () => {
    const works = new Works();
    const stranger = aPerson({ id: asId<PersonId>('sam'), siteIds: [otherSite] });
    works.records.change([put('people', stranger)]);
    const time = { ...onWork, startedAt: minutesLater(-60), minutes: 30, timeType: 'regular' as const };
    expect(codeOf(await works.do('labor.add', { ...time, personId: stranger.id }))).toBe('not_found');
    expect(codeOf(await works.do('labor.add', { ...time, personId: bob.id }))).toBe('accepted');
  });
});
