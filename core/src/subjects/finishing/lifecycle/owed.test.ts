import { asId, type PersonId, type PointId } from '../../../kernel/ids';
import type { ArgsOf, OperationName } from '../../../registry/operations';
import { noticesOfChange } from '../../../registry/notices';
import {
  ann,
  anOperation,
  aPoint,
  aStep,
  binId,
  bob,
  lea,
  noon,
  partId,
  put,
  someSettings,
  workId,
} from '../../../testing/builders';
import { codeOf, minutesLater, Works } from '../../../testing/works';
import { currentOf } from '../../orders/work/entries';
import { owedThings, type Demands, type OwedThing } from '../../orders/work/demands';
import { demandsOf } from './demands-of';
import { mustBeGiven, owedBefore, shareGiven } from './owed';
import { recordedOn } from './recorded-on';

const onWork = { workOrderId: workId };
const nothing = Object.fromEntries(owedThings.map((thing) => [thing, 'not'])) as unknown as Demands;
const only = (thing: OwedThing, demand: 'must' | 'asked' = 'must'): Demands => ({ ...nothing, [thing]: demand });
const anHour: ArgsOf<'labor.add'> = {
  ...onWork,
  personId: ann.id,
  startedAt: minutesLater(-60),
  minutes: 60,
  timeType: 'regular',
};
const fault: ArgsOf<'fault.add'> = {
  ...onWork,
  assetId: null,
  component: 'Seal',
  mode: 'ELU',
  mechanism: null,
  detection: 8,
  text: '',
  cause: null,
  activity: null,
};
const signed = { type: 'signature', name: 'Tess', path: 'M0 0L9 9' } as const;

/** Work that is underway, with everything on it that something can be owed of. */
function works(demands: Demands, given: object = {}): Works {
  const works = new Works({ state: 'underway', ...given }, [
    aStep(1),
    aStep(2, { type: 'signature', who: 'Operator' }),
  ]);
  const all = { corrective: demands, preventive: demands, inspection: demands, improvement: demands };
  works.records.change([
    put('settings', someSettings({ demands: all })),
    put('points', aPoint()),
    put('points', aPoint({ id: asId<PointId>('hours'), name: 'Hours', isMeter: true })),
  ]);
  return works;
}

async function owedOf(works: Works, finisher: PersonId = ann.id) {
  const work = works.work;
  const settings = works.records.peek('settings', 'settings');
  if (work === undefined || settings === undefined) throw new Error('There is no such work.');
  return owedBefore(finisher, await recordedOn(works.records, work), demandsOf(settings, work));
}

type Given = { [N in OperationName]: readonly [N, ArgsOf<N>] }[OperationName];
const none = (of: 'part' | 'stoppage' | 'time' | 'fault'): Given => ['none.say', { ...onWork, of }];

describe('what a lead wants before a job is finished', () => {
  it.each<[OwedThing, readonly Given[]]>([
    [
      'steps',
      [
        ['step.answer', { ...onWork, stepId: aStep(1).id, answer: { type: 'tick' } }],
        ['step.answer', { ...onWork, stepId: aStep(2).id, answer: { type: 'skipped', reason: 'Nobody there' } }],
      ],
    ],
    ['readings', [['reading.add', { ...onWork, pointId: aPoint().id, value: 50 }]]],
    ['meter', [['reading.add', { ...onWork, pointId: asId<PointId>('hours'), value: 50 }]]],
    ['fault', [['fault.add', fault]]],
    ['fault', [none('fault')]],
    ['part', [['part.use', { ...onWork, partId, binId, quantity: 1_000 }]]],
    ['part', [none('part')]],
    ['stoppage', [none('stoppage')]],
    ['time', [['labor.add', anHour]]],
    ['time', [none('time')]],
    ['signature', [['step.answer', { ...onWork, stepId: aStep(2).id, answer: signed }]]],
  ])('holds up finishing until there is %s', async (thing, given) => {
    const job = works(only(thing));
    expect(await job.do('work.finish', onWork)).toMatchObject({ code: 'not_finished_owed' });
    for (const [name, args] of given)
      expect([name, codeOf(await job.do(name, args as never))]).toEqual([name, 'accepted']);
    expect(codeOf(await job.do('work.finish', onWork))).toBe('accepted');
  });

  it('that is only asked for, holds up nothing', async () => {
    const job = works(only('part', 'asked'));
    expect(await owedOf(job)).toEqual([{ what: 'part', demand: 'asked' }]);
    expect(codeOf(await job.do('work.finish', onWork))).toBe('accepted');
  });

  it('of one job is at least what its procedure wants', () => {
    const settings = someSettings({ demands: { corrective: only('photo', 'asked') } });
    const wanted = demandsOf(settings, { kind: 'corrective', demands: { photo: 'must', part: 'asked' } });
    expect(wanted).toEqual({ ...nothing, photo: 'must', part: 'asked' });
    expect(demandsOf(settings, { kind: 'corrective', demands: { photo: 'not' } }).photo).toBe('asked');
  });

  it('is said by a lead for each thing, and by nobody else', async () => {
    const job = works(nothing);
    const wanted = only('photo');
    const args = { kind: 'corrective', demands: wanted } as const;
    expect(codeOf(await job.do('owed.set', args))).toBe('role_missing');
    expect(codeOf(await job.do('owed.set', { ...args, demands: { photo: 'must' } as never }, lea))).toBe('invalid');
    expect(codeOf(await job.do('owed.set', args, lea))).toBe('accepted');
    const settings = job.records.peek('settings', 'settings');
    expect(settings?.demands?.corrective).toEqual(wanted);
    expect(settings?.owed.corrective).toEqual({ steps: false, time: false, codes: false });
  });

  it('fills the foot of the dipstick thing by thing', async () => {
    const wanted: Demands = { ...nothing, part: 'must', stoppage: 'must', time: 'must', photo: 'asked' };
    const job = works(wanted);
    expect(shareGiven(await owedOf(job), wanted)).toBe(0);
    await job.do(...(none('part') as ['none.say', ArgsOf<'none.say'>]));
    expect(shareGiven(await owedOf(job), wanted)).toBeCloseTo(1 / 3);
    expect(shareGiven([], nothing)).toBe(1);
  });
});

describe('the time of those to whom it was given', () => {
  const both = { personIds: [ann.id, bob.id] };

  it('is owed by each for themselves; nobody is held up by that of a mate', async () => {
    const job = works(only('time'), both);
    await job.do('labor.add', { ...anHour, personId: bob.id }, bob);
    expect((await owedOf(job)).map(({ what }) => what)).toEqual(['time']);
    await job.do('labor.add', anHour);
    expect(await owedOf(job)).toEqual([]);
    const alone = works(only('time'), both);
    await alone.do('labor.add', anHour);
    expect(mustBeGiven(await owedOf(alone))).toEqual([]);
    expect(await owedOf(alone)).toEqual([{ what: 'timeOfAnother', personId: bob.id, demand: 'asked' }]);
  });

  it('is told to whoever has not given it, who still may until a lead has accepted the job', async () => {
    const job = works(only('time'), both);
    await job.do('labor.add', anHour);
    const before = job.work;
    await job.do('work.finish', onWork, ann, minutesLater(1));
    const after = job.work;
    expect(after).toMatchObject({ state: 'finished', timeOwedBy: [bob.id] });
    if (after === undefined) throw new Error('It is gone.');
    const everybody = { crews: [], people: [ann, bob, lea] };
    const told = noticesOfChange({ before, after, entries: [], by: ann.id }, everybody, [], noon);
    expect(told.find(({ personId }) => personId === bob.id)?.kind).toBe('timeOwed');
    const later = minutesLater(5);
    expect(codeOf(await job.do('labor.add', anHour, ann, later))).toBe('work_order_closed');
    expect(codeOf(await job.do('part.use', { ...onWork, partId, binId, quantity: 1 }, bob, later))).toBe(
      'work_order_closed',
    );
    expect(codeOf(await job.do('labor.add', { ...anHour, personId: bob.id }, bob, later))).toBe('accepted');
    expect([job.work?.state, job.work?.timeOwedBy]).toEqual(['finished', undefined]);
    expect(codeOf(await job.do('labor.add', { ...anHour, personId: bob.id }, bob, later))).toBe('work_order_closed');
  });

  it('is made good by saying that there was none, and owed anew when the job comes back', async () => {
    const finished = async (): Promise<Works> => {
      const job = works(only('time'), both);
      await job.do('labor.add', anHour);
      await job.do('work.finish', onWork, ann, minutesLater(1));
      return job;
    };
    const said = await finished();
    expect(codeOf(await said.do('none.say', { ...onWork, of: 'time' }, bob, minutesLater(5)))).toBe('accepted');
    expect(said.work?.timeOwedBy).toBeUndefined();
    const back = await finished();
    await back.do('work.hand-back', { ...onWork, reason: 'Where is Bob’s time?' }, lea, minutesLater(5));
    expect(back.work?.timeOwedBy).toBeUndefined();
  });
});

describe('one line of what was done', () => {
  it('is kept as a note of whoever finished; without it there is none', async () => {
    const job = works(nothing);
    await job.do('work.finish', { ...onWork, done: '  Seal replaced ' }, ann, minutesLater(1));
    expect(currentOf(job.entries, 'note').map(({ content }) => content.text)).toEqual(['Seal replaced']);
    const quiet = works(nothing);
    await quiet.do('work.finish', { ...onWork, done: ' ' }, ann, minutesLater(1));
    expect(currentOf(quiet.entries, 'note')).toEqual([]);
  });

  it('of both is kept where two finish it without knowing of each other', async () => {
    const job = works(nothing, { personIds: [ann.id, bob.id] });
    await job.do('work.finish', { ...onWork, done: 'Seal replaced' }, ann, minutesLater(1));
    const unseen = { by: bob.id, at: minutesLater(2), knownUntil: noon };
    const again = anOperation('work.finish', { ...onWork, done: 'Oil filled up' }, unseen);
    expect(codeOf(await job.send(again, bob, minutesLater(30)))).toBe('accepted');
    expect(currentOf(job.entries, 'note').map(({ content }) => content.text)).toEqual([
      'Seal replaced',
      'Oil filled up',
    ]);
    expect(job.work).toMatchObject({ finishedBy: ann.id, finishedAt: minutesLater(1) });
  });
});
