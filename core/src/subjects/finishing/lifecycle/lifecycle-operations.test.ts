import { asId, type EntryId, type WorkOrderId } from '../../../kernel/ids';
import {
  aCrew,
  anEntry,
  anOperation,
  ann,
  aSite,
  aStep,
  aWorkOrder,
  binId,
  bob,
  lea,
  noon,
  otherSite,
  partId,
  put,
  someSettings,
  workId,
} from '../../../testing/builders';
import { codeOf, minutesLater, Works, sideAt } from '../../../testing/works';
import { currentOf } from '../../orders/work/entries';
import { performedAt } from '../../orders/work/work-order';
import { applyOperation, type ArgsOf } from '../../../registry/operations';
import { pastJobsOf } from '../../../registry/past';
const onWork = { workOrderId: workId };
const hazards = [{ id: 'rotating', hazard: 'Drive starts', control: 'Lock out' }];
const laborOf = (minutes: number, startedAt: string = minutesLater(-120)) =>
  ({ ...onWork, personId: ann.id, startedAt, minutes, timeType: 'regular' as const }) as ArgsOf<'labor.add'>;

describe('hazards', () => {
  it('must be acknowledged by each person before anything counts as work', async () => {
    const works = new Works({ hazards, personIds: [ann.id, bob.id] }, [aStep(1)]);
    expect(codeOf(await works.do('clock.start', onWork))).toBe('hazards_not_acknowledged');
    expect(codeOf(await works.do('step.answer', { ...onWork, stepId: aStep(1).id, answer: { type: 'tick' } }))).toBe(
      'hazards_not_acknowledged',
    );
    expect(codeOf(await works.do('note.add', { ...onWork, text: 'gate is locked' }))).toBe('accepted');
    expect(codeOf(await works.do('work.acknowledge-hazards', { ...onWork, hazardIds: [asId('rotating')] }))).toBe(
      'accepted',
    );
    expect(codeOf(await works.do('clock.start', onWork))).toBe('accepted');
    expect(codeOf(await works.do('clock.start', onWork, bob))).toBe('hazards_not_acknowledged');
  });

  it('bind who works, and not a lead who writes down what others did', async () => {
    const part = { ...onWork, partId, binId, quantity: 1_000 };
    const tick = { ...onWork, stepId: aStep(1).id, answer: { type: 'tick' as const } };
    const works = new Works({ hazards, personIds: [ann.id] }, [aStep(1)]);
    expect(codeOf(await works.do('labor.add', laborOf(30), lea))).toBe('accepted');
    expect(codeOf(await works.do('part.use', part, lea))).toBe('accepted');
    expect(codeOf(await works.do('step.answer', tick, lea))).toBe('accepted');
    // Their own time is work, alone or along with others, and so is a clock.
    for (const own of [{ personId: lea.id }, { alsoFor: [lea.id] }])
      expect(codeOf(await works.do('labor.add', { ...laborOf(30), ...own }, lea))).toBe('hazards_not_acknowledged');
    expect(codeOf(await works.do('clock.start', onWork, lea))).toBe('hazards_not_acknowledged');
    // A lead who has the job works on it, and a technician always does.
    const own = new Works({ hazards, personIds: [ann.id, lea.id] }, [aStep(1)]);
    expect(codeOf(await own.do('part.use', part, lea))).toBe('hazards_not_acknowledged');
    expect(codeOf(await own.do('labor.add', { ...laborOf(30), personId: bob.id }))).toBe('hazards_not_acknowledged');
  });

  it('are acknowledged as they now stand, all of them', async () => {
    const works = new Works({ hazards });
    for (const hazardIds of [[], ['height'], ['rotating', 'height']]) {
      expect(
        codeOf(await works.do('work.acknowledge-hazards', { ...onWork, hazardIds: hazardIds.map((id) => asId(id)) })),
      ).toBe('hazards_changed');
    }
  });

  it('must be read again when one is added', async () => {
    const works = new Works({ hazards });
    await works.do('work.acknowledge-hazards', { ...onWork, hazardIds: [asId('rotating')] });
    works.records.change([
      put('workOrders', aWorkOrder({ hazards: [...hazards, { id: 'height', hazard: 'Fall', control: 'Harness' }] })),
    ]);
    expect(codeOf(await works.do('work.start', onWork))).toBe('hazards_not_acknowledged');
  });
});

describe('the clock', () => {
  it('takes up the work, and stopping it records the time with its cost', async () => {
    const works = new Works();
    expect(codeOf(await works.do('clock.start', onWork))).toBe('accepted');
    expect(works.work?.state).toBe('underway');
    expect(codeOf(await works.do('clock.stop', { ...onWork, endedAt: null }, ann, minutesLater(42)))).toBe('accepted');
    expect(works.records.peek('clocks', ann.id)).toBeUndefined();
    expect(currentOf(works.entries, 'labor').map(({ content }) => [content.minutes, content.cost?.minor])).toEqual([
      [42, 4_200],
    ]);
  });

  it('runs on one work order at a time', async () => {
    const works = new Works();
    const other = asId<WorkOrderId>('w-2');
    works.records.change([put('workOrders', aWorkOrder({ id: other, number: 'W-2' }))]);
    await works.do('clock.start', onWork);
    await works.do('clock.start', { workOrderId: other }, ann, minutesLater(30));
    expect(works.records.peek('clocks', ann.id)?.workOrderId).toBe(other);
    expect(currentOf(works.entries, 'labor').map(({ content }) => content.minutes)).toEqual([30]);
  });

  it('goes on when it is started where it runs', async () => {
    const works = new Works();
    await works.do('clock.start', onWork);
    await works.do('clock.start', onWork, ann, minutesLater(10));
    expect(works.records.peek('clocks', ann.id)?.startedAt).toBe(noon);
  });

  it('that was forgotten for over a day asks when it really stopped', async () => {
    const works = new Works();
    await works.do('clock.start', onWork);
    const nextDay = minutesLater(26 * 60);
    expect(codeOf(await works.do('clock.stop', { ...onWork, endedAt: null }, ann, nextDay))).toBe('clock_ran_too_long');
    expect(codeOf(await works.do('clock.stop', { ...onWork, endedAt: minutesLater(-5) as never }, ann, nextDay))).toBe(
      'labor_not_positive',
    );
    expect(codeOf(await works.do('clock.stop', { ...onWork, endedAt: minutesLater(240) as never }, ann, nextDay))).toBe(
      'accepted',
    );
  });

  it('of nobody cannot be stopped', async () => {
    expect(codeOf(await new Works().do('clock.stop', { ...onWork, endedAt: null }))).toBe('clock_not_running');
  });

  it('resumes held work', async () => {
    const works = new Works({ state: 'held', held: { reason: 'part', note: '' } });
    await works.do('clock.start', onWork);
    expect(works.work).toMatchObject({ state: 'underway', held: null });
  });
});

describe('typed labor', () => {
  it.each([
    [0, 'labor_not_positive'],
    [-30, 'labor_not_positive'],
    [1441, 'labor_too_long'],
    [121.5, 'invalid'],
    [180, 'labor_in_future'],
    [90, 'accepted'],
  ])('of %d minutes, begun two hours ago, is %s', async (minutes, code) => {
    const works = new Works();
    expect(codeOf(await works.do('labor.add', laborOf(minutes)))).toBe(code);
    expect(works.entries.filter((entry) => entry.content.kind === 'labor')).toHaveLength(code === 'accepted' ? 1 : 0);
  });

  it('names the field that is wrong', async () => {
    expect(await new Works().do('labor.add', laborOf(-1))).toMatchObject({ ok: false, field: 'minutes' });
    expect(await new Works().do('labor.add', laborOf(5, 'yesterday'))).toMatchObject({ ok: false, field: 'startedAt' });
  });

  it('can be amended once; the amended one stands', async () => {
    const works = new Works();
    await works.do('labor.add', laborOf(60));
    const entryId = currentOf(works.entries, 'labor')[0]?.id ?? asId<EntryId>('none');
    const amendment = {
      ...onWork,
      entryId,
      startedAt: minutesLater(-120),
      minutes: 75,
      timeType: 'overtime',
    } as ArgsOf<'labor.amend'>;
    expect(codeOf(await works.do('labor.amend', amendment))).toBe('accepted');
    expect(currentOf(works.entries, 'labor').map(({ content }) => content.cost?.minor)).toEqual([11_250]);
    expect(codeOf(await works.do('labor.amend', amendment))).toBe('entry_amended_already');
  });
});

describe('the day of the work', () => {
  const ready = (): Works => new Works({ state: 'underway', startedAt: minutesLater(-3 * 24 * 60) });
  const finish = async (works: Works, doneOn?: string) =>
    codeOf(await works.do('work.finish', { ...onWork, ...(doneOn === undefined ? {} : { doneOn: doneOn as never }) }));

  it('may be before the one on which it is typed: at the end of the time of that day, or at midday', async () => {
    const works = ready();
    await works.do('labor.add', laborOf(60, minutesLater(-24 * 60)));
    expect(await finish(works, '2026-11-22')).toBe('accepted');
    expect(works.work).toMatchObject({ state: 'finished', doneEarlierAt: minutesLater(-23 * 60) });
    const without = ready();
    await without.do('none.say', { ...onWork, of: 'time' });
    expect(await finish(without, '2026-11-21')).toBe('accepted');
    expect(without.work?.doneEarlierAt).toBe('2026-11-21T11:00:00.000Z');
    expect(performedAt(without.work ?? aWorkOrder())).toBe('2026-11-21T11:00:00.000Z');
  });

  it('is today where nobody says otherwise, and never one that is not yet or long ago', async () => {
    for (const day of [undefined, '2026-11-23']) {
      const works = ready();
      await works.do('none.say', { ...onWork, of: 'time' });
      expect(await finish(works, day)).toBe('accepted');
      expect(works.work?.doneEarlierAt).toBeUndefined();
      expect(performedAt(works.work ?? aWorkOrder())).toBe(works.work?.finishedAt);
    }
    const works = ready();
    await works.do('none.say', { ...onWork, of: 'time' });
    for (const day of ['2026-11-24', '2025-01-01']) expect(await finish(works, day)).toBe('done_day_wrong');
    expect(await finish(works, 'yesterday')).toBe('invalid');
  });

  it('is when its past says that it was done, also where it was raised later', () => {
    const work = aWorkOrder({
      state: 'finished',
      createdAt: noon,
      finishedAt: minutesLater(60),
      doneEarlierAt: minutesLater(-24 * 60),
    });
    const [job] = pastJobsOf(work, [], []);
    expect([job?.at, job?.endedAt]).toEqual([work.doneEarlierAt, work.doneEarlierAt]);
  });
});

describe('finishing', () => {
  it('is refused while something is owed, in words', async () => {
    const works = new Works({ state: 'underway' }, [aStep(1), aStep(2)]);
    expect(await works.do('work.finish', onWork)).toMatchObject({
      code: 'not_finished_owed',
      values: { step: 2, time: 1 },
    });
    expect(works.work?.state).toBe('underway');
  });

  it('is refused while a fault lacks its cause or what was done, where that is owed', async () => {
    const works = new Works();
    const owed = { ...someSettings().owed, corrective: { steps: true, time: false, codes: true } };
    works.records.change([put('settings', someSettings({ owed }))]);
    const fault = {
      ...onWork,
      assetId: null,
      component: 'Seal',
      mode: 'ELU' as const,
      mechanism: null,
      detection: 8,
      text: '',
    };
    await works.do('fault.add', { ...fault, cause: null, activity: null });
    await works.do('work.start', onWork, ann, minutesLater(1));
    expect(await works.do('work.finish', onWork, ann, minutesLater(2))).toMatchObject({
      code: 'not_finished_owed',
      values: { codes: 1 },
    });
    const entryId = currentOf(works.entries, 'fault')[0]?.id ?? asId<EntryId>('none');
    const { assetId: _, ...coded } = fault;
    await works.do('fault.amend', { ...coded, entryId, cause: '3.4', activity: 1 }, ann, minutesLater(3));
    expect(codeOf(await works.do('work.finish', onWork, ann, minutesLater(4)))).toBe('accepted');
  });

  it('stops the own clock, and says who finished when', async () => {
    const works = new Works();
    await works.do('clock.start', onWork);
    expect(codeOf(await works.do('work.finish', onWork, ann, minutesLater(30)))).toBe('accepted');
    expect(works.work).toMatchObject({ state: 'finished', finishedBy: ann.id, finishedAt: minutesLater(30) });
    expect(currentOf(works.entries, 'labor')).toHaveLength(1);
    const later = minutesLater(40);
    expect(codeOf(await works.do('note.add', { ...onWork, text: 'late' }, ann, later))).toBe('work_order_closed');
    expect(codeOf(await works.do('work.finish', onWork, ann, later))).toBe('state_forbids');
  });

  it('is looked at by the lead, who hands it back or accepts it', async () => {
    const works = new Works({ state: 'finished', finishedAt: noon, finishedBy: ann.id });
    expect(codeOf(await works.do('work.accept', onWork))).toBe('role_missing');
    expect(codeOf(await works.do('work.hand-back', { ...onWork, reason: 'meter missing' }, lea))).toBe('accepted');
    expect(works.work).toMatchObject({
      state: 'underway',
      finishedAt: null,
      handedBack: { reason: 'meter missing', by: lea.id },
    });
    works.records.change([put('workOrders', aWorkOrder({ state: 'finished' }))]);
    expect(codeOf(await works.do('work.accept', onWork, lea))).toBe('accepted');
    expect(codeOf(await works.do('work.hand-back', { ...onWork, reason: 'again' }, lea))).toBe('state_forbids');
  });
});

describe('accepting one’s own work', () => {
  const boss = { ...lea, roles: ['lead', 'technician'] as const };
  it.each([
    ['finished it', { finishedBy: boss.id }, []],
    [
      'worked on it',
      { finishedBy: ann.id },
      [anEntry({ ...laborOf(30), kind: 'labor', personId: boss.id, rate: null, cost: null } as never)],
    ],
  ])('is for others where the site says so, for whoever %s', async (_, given, entries) => {
    const works = new Works({ state: 'finished', ...given });
    works.records.change(entries.map((entry) => put('entries', entry)));
    works.records.change([put('sites', aSite({ othersAccept: true }))]);
    expect(codeOf(await works.do('work.accept', onWork, boss))).toBe('own_work_not_accepted');
    expect(works.work?.state).toBe('finished');
    works.records.change([put('sites', aSite())]);
    expect(codeOf(await works.do('work.accept', onWork, boss))).toBe('accepted');
  });
});

describe('accepted work', () => {
  it('is locked: only a lead amends what is wrong in it, and both stay readable', async () => {
    const works = new Works({ state: 'underway' });
    const note = anOperation('note.add', { ...onWork, text: 'Grease was black' });
    await works.send(note);
    const work = works.work;
    if (work !== undefined) works.records.change([put('workOrders', { ...work, state: 'accepted', closedAt: noon })]);
    const amendment = { ...onWork, entryId: asId<EntryId>(note.id), text: 'Grease was brown' };
    const later = minutesLater(60);
    expect(codeOf(await works.do('note.amend', amendment, ann, later))).toBe('work_order_closed');
    expect(codeOf(await works.do('note.add', { ...onWork, text: 'More' }, lea, later))).toBe('work_order_closed');
    expect(codeOf(await works.do('note.amend', amendment, lea, later))).toBe('accepted');
    expect(currentOf(works.entries, 'note').map(({ content }) => content.text)).toEqual(['Grease was brown']);
    expect(works.entries).toHaveLength(2);
  });
});

describe('holding and dropping', () => {
  it('keeps the reason while it is held', async () => {
    const works = new Works();
    await works.do('clock.start', onWork);
    expect(
      codeOf(await works.do('work.hold', { ...onWork, reason: 'weather', note: 'storm' }, ann, minutesLater(5))),
    ).toBe('accepted');
    expect(works.work).toMatchObject({ state: 'held', held: { reason: 'weather', note: 'storm' } });
    expect(works.records.peek('clocks', ann.id)).toBeUndefined();
    expect(codeOf(await works.do('work.resume', onWork, ann, minutesLater(6)))).toBe('accepted');
    expect(works.work?.held).toBeNull();
  });

  it('does not drop work under a running clock', async () => {
    const works = new Works();
    await works.do('clock.start', onWork);
    expect(codeOf(await works.do('work.drop', { ...onWork, reason: 'not needed' }, lea))).toBe('not_dropped_owed');
    await works.do('clock.stop', { ...onWork, endedAt: null }, ann, minutesLater(5));
    expect(codeOf(await works.do('work.drop', { ...onWork, reason: 'not needed' }, lea))).toBe('accepted');
    expect(works.work?.state).toBe('dropped');
  });
});

describe('who may', () => {
  it.each([
    ['the crew', { personIds: [], crewId: aCrew().id }, bob, 'accepted'],
    ['a lead', { personIds: [] }, lea, 'accepted'],
    ['somebody else', {}, bob, 'work_order_not_yours'],
    ['a person of another site', { siteId: otherSite }, ann, 'not_found'],
  ])('%s', async (_, work, person, code) => {
    const works = new Works(work);
    works.records.change([put('crews', aCrew())]);
    expect(codeOf(await works.do('note.add', { ...onWork, text: 'hello' }, person))).toBe(code);
  });

  it('does not let one person act as another', async () => {
    expect(
      codeOf(await new Works().send(anOperation('note.add', { ...onWork, text: 'hello' }, { by: bob.id }), ann)),
    ).toBe('not_as_another');
  });
});

describe('any operation', () => {
  it.each([
    ['an unknown name', { name: 'work.explode' }, 'operation_unknown'],
    ['a name from the language', { name: 'constructor' }, 'operation_unknown'],
    ['no arguments', { args: null }, 'invalid'],
    ['a list of arguments', { args: [] }, 'invalid'],
    ['an argument too many', { args: { ...onWork, text: 'x', admin: true } }, 'invalid'],
  ])('with %s changes nothing', async (_, given, code) => {
    const works = new Works();
    const outcome = await works.send({ ...anOperation('note.add', { ...onWork, text: 'x' }), ...given }, ann, noon);
    expect(codeOf(outcome)).toBe(code);
    expect(works.entries).toEqual([]);
  });

  it('made by a device that is ahead happened at the latest when it was heard', async () => {
    const works = new Works();
    const note = (given: object) => works.send(anOperation('note.add', { ...onWork, text: 'x' }, given), ann, noon);
    await note({ at: minutesLater(30) });
    await note({ at: minutesLater(30), ahead: 40 * 60_000 });
    expect(works.entries.map(({ at }) => at).sort()).toEqual([minutesLater(-10), noon]);
  });

  it('applied twice on the same rows does the same', async () => {
    const works = new Works({}, [aStep(1)]);
    const operation = anOperation('step.answer', { ...onWork, stepId: aStep(1).id, answer: { type: 'tick' } });
    const once = await applyOperation(works.records, operation, ann, sideAt(noon));
    const twice = await applyOperation(works.records, operation, ann, sideAt(noon));
    expect(twice).toEqual(once);
  });
});
