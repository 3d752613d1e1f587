import { asId, type CrewId, type WorkOrderId } from '../../../kernel/ids';
import { instantFromMillis, parseInstant, toMillis } from '../../../kernel/time/instant';
import { aCrew, ann, anOperation, aWorkOrder, bob, lea, noon, put, site, workId } from '../../../testing/builders';
import { codeOf, minutesLater, Works } from '../../../testing/works';
import { currentOf } from '../../orders/work/entries';

const onWork = { workOrderId: workId };
const elsewhere = asId<WorkOrderId>('w-2');
const minutesOf = (works: Works): number[] => currentOf(works.entries, 'labor').map(({ content }) => content.minutes);

describe('a break', () => {
  it('records what the clock has run, and the clock goes on after it', async () => {
    const works = new Works();
    await works.do('clock.start', onWork);
    expect(codeOf(await works.do('clock.pause', onWork, ann, minutesLater(50)))).toBe('accepted');
    expect(minutesOf(works)).toEqual([50]);
    expect(works.records.peek('clocks', ann.id)).toMatchObject({ isPaused: true });
    await works.do('clock.start', onWork, ann, minutesLater(80));
    expect(works.records.peek('clocks', ann.id)).not.toHaveProperty('isPaused');
    await works.do('clock.stop', { ...onWork, endedAt: null }, ann, minutesLater(90));
    expect(minutesOf(works).sort()).toEqual([10, 50]);
  });

  it('pressed twice is one', async () => {
    const works = new Works();
    await works.do('clock.start', onWork);
    await works.do('clock.pause', onWork, ann, minutesLater(50));
    await works.do('clock.pause', onWork, ann, minutesLater(55));
    expect(minutesOf(works)).toEqual([50]);
  });

  it('ends with the stop, the hold or the start elsewhere, and nothing is recorded of it', async () => {
    for (const end of ['clock.stop', 'work.hold', 'clock.start'] as const) {
      const works = new Works();
      works.records.change([put('workOrders', aWorkOrder({ id: elsewhere, number: 'W-2' }))]);
      await works.do('clock.start', onWork);
      await works.do('clock.pause', onWork, ann, minutesLater(50));
      const at = minutesLater(120);
      if (end === 'clock.stop') await works.do(end, { ...onWork, endedAt: null }, ann, at);
      else if (end === 'work.hold') await works.do(end, { ...onWork, reason: 'part', note: '' }, ann, at);
      else await works.do(end, { workOrderId: elsewhere }, ann, at);
      expect(minutesOf(works)).toEqual([50]);
      expect(works.records.peek('clocks', ann.id)?.workOrderId).toBe(end === 'clock.start' ? elsewhere : undefined);
    }
  });

  it('of a mate does not stand in the way of finishing, and ends with it', async () => {
    const works = new Works({ personIds: [ann.id, bob.id] });
    await works.do('clock.start', onWork, bob);
    await works.do('clock.pause', onWork, bob, minutesLater(20));
    await works.do('none.say', { ...onWork, of: 'time' }, ann, minutesLater(25));
    expect(codeOf(await works.do('work.finish', onWork, ann, minutesLater(30)))).toBe('accepted');
    expect(works.records.peek('clocks', bob.id)).toBeUndefined();
  });
});

describe('a press made twice', () => {
  const soon = (seconds: number) => instantFromMillis(toMillis(noon) + seconds * 1_000);

  it('on the clock leaves no time', async () => {
    const works = new Works();
    await works.do('clock.start', onWork);
    expect(codeOf(await works.do('clock.stop', { ...onWork, endedAt: null }, ann, soon(1)))).toBe('accepted');
    expect([minutesOf(works), works.records.peek('clocks', ann.id)]).toEqual([[], undefined]);
    await works.do('clock.start', onWork, ann, soon(10));
    await works.do('clock.stop', { ...onWork, endedAt: null }, ann, soon(12));
    expect(minutesOf(works)).toEqual([1]);
  });

  it('is not thought of where the phone’s clock is off, which may move times together that were apart', async () => {
    const works = new Works();
    const ahead = 30 * 3_600_000;
    const at = instantFromMillis(toMillis(noon) + ahead);
    const stamped = { at, ahead, knownUntil: noon };
    for (const [name, args] of [
      ['clock.start', onWork],
      ['clock.stop', { ...onWork, endedAt: null }],
    ] as const)
      expect(codeOf(await works.send(anOperation(name, args, stamped), ann, noon))).toBe('accepted');
    expect(minutesOf(works)).toEqual([1]);
  });

  it('on the hazards is one reading; read again later is another', async () => {
    const hazards = [{ id: 'h-1', hazard: 'Fall', control: 'Harness', addedAt: noon }];
    const works = new Works({ hazards });
    const read = (at: string) => works.do('work.acknowledge-hazards', { ...onWork, hazardIds: [asId('h-1')] }, ann, at);
    const readings = () => works.entries.filter(({ content }) => content.kind === 'acknowledgement').length;
    for (const at of [noon, soon(1), soon(59)]) expect(codeOf(await read(at))).toBe('accepted');
    expect(readings()).toBe(1);
    expect(codeOf(await read(minutesLater(61)))).toBe('accepted');
    expect(readings()).toBe(2);
  });
});

describe('the clock of a mate', () => {
  const forBob = { ...onWork, personIds: [bob.id] };

  it('is started by who works with them: on their work, or in a crew with them', async () => {
    expect(codeOf(await new Works().do('clock.start-for', forBob))).toBe('mate_not_with_you');
    expect(codeOf(await new Works({ personIds: [ann.id, bob.id] }).do('clock.start-for', forBob))).toBe('accepted');
    const works = new Works();
    const crewId = asId<CrewId>('crew');
    works.records.change([put('crews', aCrew({ memberIds: [bob.id] }))]);
    expect(codeOf(await works.do('clock.start-for', { ...forBob, crewId }))).toBe('mate_not_with_you');
    works.records.change([put('crews', aCrew({ memberIds: [ann.id, bob.id] }))]);
    expect(codeOf(await works.do('clock.start-for', { ...forBob, crewId }))).toBe('accepted');
  });

  it('is moved from where it ran, and its person is told why', async () => {
    const works = new Works({ personIds: [ann.id, bob.id] });
    works.records.change([put('workOrders', aWorkOrder({ id: elsewhere, number: 'W-2', personIds: [bob.id] }))]);
    await works.do('clock.start', { workOrderId: elsewhere }, bob);
    await works.do('clock.start-for', forBob, ann, minutesLater(25));
    const [moved] = currentOf(works.records.peekList('entries', 'workOrder', elsewhere), 'labor');
    expect(moved?.content).toMatchObject({ personId: bob.id, minutes: 25, stoppedBecause: 'started on W-1' });
    expect(works.records.peek('clocks', bob.id)).toMatchObject({ workOrderId: workId, startedBy: ann.id });
  });

  it('is stopped without a reason by who started it, and by no other mate', async () => {
    const works = new Works({ personIds: [ann.id, bob.id] });
    await works.do('clock.start-for', forBob);
    const stop = { ...onWork, personId: bob.id, endedAt: minutesLater(30), reason: '' };
    const dan = { ...ann, id: asId<never>('dan') };
    const at = minutesLater(40);
    expect(codeOf(await works.send(anOperation('clock.stop-for', stop, { by: dan.id, at }), dan, at))).toBe(
      'role_missing',
    );
    expect(codeOf(await works.do('clock.stop-for', stop, lea, at))).toBe('clock_reason_missing');
    expect(codeOf(await works.do('clock.stop-for', stop, ann, at))).toBe('accepted');
    expect(currentOf(works.entries, 'labor')[0]?.content).toMatchObject({ personId: bob.id, minutes: 30 });
  });
});

describe('time of several', () => {
  const both = {
    ...onWork,
    personId: ann.id,
    alsoFor: [bob.id, ann.id],
    startedAt: parseInstant(minutesLater(-60)),
    minutes: 60,
    timeType: 'regular' as const,
  };

  it('is an entry for each, by their own trade', async () => {
    const works = new Works();
    works.records.change([put('people', { ...bob, tradeId: 'electrical' })]);
    expect(codeOf(await works.do('labor.add', both))).toBe('accepted');
    expect(currentOf(works.entries, 'labor').map(({ content }) => [content.personId, content.tradeId])).toEqual([
      [ann.id, 'mechanical'],
      [bob.id, 'electrical'],
    ]);
  });

  it('is booked by another trade only when a lead says so', async () => {
    const works = new Works();
    const other = { ...both, tradeId: 'mechanical' };
    expect(codeOf(await works.do('labor.add', other))).toBe('trade_not_yours_to_choose');
    expect(codeOf(await works.do('labor.add', { ...other, tradeId: 'alchemy' }, lea))).toBe('not_found');
    expect(codeOf(await works.do('labor.add', other, lea))).toBe('accepted');
  });

  it('is of people of the site', async () => {
    const works = new Works();
    works.records.change([put('people', { ...bob, siteIds: [] })]);
    expect(codeOf(await works.do('labor.add', both))).toBe('not_found');
    expect(works.entries).toEqual([]);
  });

  it('is paid by the level of its person where that has a rate of its own', async () => {
    const works = new Works();
    const senior = { id: `${site}@mechanical@senior`, siteId: site, tradeId: 'mechanical', levelId: 'senior' };
    works.records.change([
      put('people', { ...bob, levelId: 'senior' }),
      put('rates', { ...senior, minorPerHour: 8_000, overtimePercent: 150 }),
    ]);
    await works.do('labor.add', both);
    expect(currentOf(works.entries, 'labor').map(({ content }) => content.cost?.minor)).toEqual([6_000, 8_000]);
  });
});

describe('time on no job', () => {
  const meeting = {
    siteId: site,
    startedAt: parseInstant(minutesLater(-30)),
    minutes: 30,
    reason: 'meeting' as const,
    words: '',
  };

  it('is the own, amended and taken back by nobody else', async () => {
    const works = new Works();
    await works.do('time.add', meeting);
    const otherTimeId = works.records.peekAll('otherTimes')[0]?.id ?? asId<never>('none');
    const amended = { otherTimeId, startedAt: meeting.startedAt, minutes: 20 };
    expect(codeOf(await works.do('time.amend', amended, bob))).toBe('not_found');
    expect(codeOf(await works.do('time.remove', { otherTimeId }, lea))).toBe('not_found');
    expect(codeOf(await works.do('time.amend', amended))).toBe('accepted');
    expect(works.records.peekAll('otherTimes')).toMatchObject([{ personId: ann.id, minutes: 20 }]);
    expect(codeOf(await works.do('time.remove', { otherTimeId }))).toBe('accepted');
    expect(works.records.peekAll('otherTimes')).toEqual([]);
  });

  it.each([
    [{ minutes: 0 }, 'labor_not_positive'],
    [{ minutes: 25 * 60 }, 'labor_too_long'],
    [{ minutes: 45 }, 'labor_in_future'],
    [{ siteId: asId<never>('elsewhere') }, 'not_found'],
  ])('%j is refused', async (given, code) => {
    expect(codeOf(await new Works().do('time.add', { ...meeting, ...given }))).toBe(code);
  });
});
