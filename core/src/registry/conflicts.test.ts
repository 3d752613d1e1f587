import { asId, type EntryId } from '../kernel/ids';
import { anOperation, ann, aStep, binId, bob, lea, partId, workId } from '../testing/builders';
import { codeOf, minutesLater, Works } from '../testing/works';
import type { StepAnswer } from '../subjects/steps/steps/kinds/kinds';
import { currentOf } from '../subjects/orders/work/entries';
import type { Person } from '../subjects/plant/people/people';
import type { Outcome } from '../operations/operation';
import type { ArgsOf, OperationName } from './operations';

/**
 * What two people can do to one another when one of them has no signal. Each test says who did what when, by the clock
 * of the works in minutes after noon; `from` is when it reached the server, and `knownUntil` when its maker last heard.
 */
const onWork = { workOrderId: workId };
const hazards = [{ id: 'rotating', hazard: 'Drive starts', control: 'Lock out' }];
const both = { personIds: [ann.id, bob.id] };

interface When {
  readonly at: number;
  readonly from: number;
  readonly knownUntil: number;
}

async function hears<N extends OperationName>(
  works: Works,
  by: Person,
  name: N,
  args: ArgsOf<N>,
  { at, from, knownUntil }: When,
): Promise<string> {
  const operation = anOperation(name, args, { by: by.id, at: minutesLater(at), knownUntil: minutesLater(knownUntil) });
  const outcome: Outcome = await works.send(operation, by, minutesLater(from));
  return codeOf(outcome);
}

const live = (minute: number): When => ({ at: minute, from: minute, knownUntil: minute });
/** Made without signal since noon, heard two hours later. */
const offline = (minute: number): When => ({ at: minute, from: 120, knownUntil: 0 });

async function finishedByBob(): Promise<Works> {
  const works = new Works(both);
  await hears(works, bob, 'clock.start', onWork, live(10));
  await hears(works, bob, 'work.finish', onWork, live(60));
  return works;
}

describe('work that somebody else finished meanwhile', () => {
  it('still takes what was recorded without knowing', async () => {
    const works = await finishedByBob();
    const labor = { personId: ann.id, startedAt: minutesLater(5), minutes: 30, timeType: 'regular' as const };
    expect(await hears(works, ann, 'labor.add', { ...onWork, ...labor }, offline(40))).toBe('accepted');
    expect(await hears(works, ann, 'part.use', { ...onWork, partId, binId, quantity: 2_000 }, offline(90))).toBe(
      'accepted',
    );
    expect(
      currentOf(works.entries, 'labor')
        .map(({ content }) => content.minutes)
        .sort(),
    ).toEqual([30, 50]);
    expect(works.onHand).toBe(6_000);
    expect(works.work?.state).toBe('finished');
  });

  it('is finished once: the second finish only stops its maker’s clock', async () => {
    const works = await finishedByBob();
    expect(await hears(works, ann, 'clock.start', onWork, offline(20))).toBe('accepted');
    expect(await hears(works, ann, 'work.finish', onWork, offline(80))).toBe('accepted');
    expect(works.work).toMatchObject({ finishedBy: bob.id, finishedAt: minutesLater(60) });
    expect(works.entries.filter(({ content }) => content.kind === 'state' && content.to === 'finished')).toHaveLength(
      1,
    );
    expect(
      currentOf(works.entries, 'labor')
        .map(({ content }) => content.minutes)
        .sort(),
    ).toEqual([50, 60]);
    expect(works.records.peek('clocks', ann.id)).toBeUndefined();
  });

  it('takes nothing more from somebody who knows', async () => {
    const works = await finishedByBob();
    expect(await hears(works, ann, 'note.add', { ...onWork, text: 'more' }, live(90))).toBe('work_order_closed');
    expect(await hears(works, bob, 'note.add', { ...onWork, text: 'more' }, live(90))).toBe('work_order_closed');
    expect(await hears(works, ann, 'work.finish', onWork, live(90))).toBe('state_forbids');
  });

  it('takes what its finisher recorded before, when that comes later', async () => {
    const works = await finishedByBob();
    expect(await hears(works, bob, 'note.add', { ...onWork, text: 'before' }, offline(30))).toBe('accepted');
  });

  it('is locked once the lead has accepted it', async () => {
    const works = await finishedByBob();
    await hears(works, lea, 'work.accept', onWork, live(70));
    expect(await hears(works, ann, 'note.add', { ...onWork, text: 'late' }, offline(30))).toBe('work_order_closed');
  });

  it('is not accepted under a clock that came late', async () => {
    const works = await finishedByBob();
    await hears(works, ann, 'clock.start', onWork, offline(20));
    expect(await hears(works, lea, 'work.accept', onWork, live(130))).toBe('not_accepted_owed');
    expect(await hears(works, ann, 'clock.stop', { ...onWork, endedAt: null }, live(140))).toBe('accepted');
    expect(await hears(works, lea, 'work.accept', onWork, live(150))).toBe('accepted');
  });
});

describe('work that was handed back meanwhile', () => {
  it('is not finished by somebody who did not know why', async () => {
    const works = await finishedByBob();
    await hears(works, lea, 'work.hand-back', { ...onWork, reason: 'seal number missing' }, live(70));
    await hears(works, ann, 'clock.start', onWork, offline(20));
    expect(await hears(works, ann, 'work.finish', onWork, offline(80))).toBe('handed_back_unseen');
    expect(works.work).toMatchObject({ state: 'underway', handedBack: { reason: 'seal number missing' } });
    expect(await hears(works, ann, 'work.finish', onWork, live(130))).toBe('accepted');
  });
});

describe('work that was dropped meanwhile', () => {
  it('keeps what was done on it, and is not finished', async () => {
    const works = new Works(both);
    await hears(works, lea, 'work.drop', { ...onWork, reason: 'machine is sold' }, live(30));
    expect(await hears(works, ann, 'clock.start', onWork, offline(20))).toBe('accepted');
    expect(await hears(works, ann, 'clock.stop', { ...onWork, endedAt: null }, offline(50))).toBe('accepted');
    expect(await hears(works, ann, 'work.finish', onWork, offline(60))).toBe('state_forbids');
    expect(works.work?.state).toBe('dropped');
    expect(currentOf(works.entries, 'labor')).toHaveLength(1);
  });
});

describe('a state that somebody else brought about meanwhile', () => {
  it('is not brought about twice', async () => {
    const works = new Works(both);
    await hears(works, bob, 'clock.start', onWork, live(5));
    await hears(works, bob, 'work.hold', { ...onWork, reason: 'weather', note: '' }, live(10));
    await hears(works, ann, 'clock.start', onWork, { at: 3, from: 120, knownUntil: 0 });
    await hears(works, bob, 'work.hold', { ...onWork, reason: 'weather', note: '' }, live(121));
    expect(await hears(works, ann, 'work.hold', { ...onWork, reason: 'part', note: '' }, offline(40))).toBe('accepted');
    expect(works.work?.held).toEqual({ reason: 'weather', note: '' });
    expect(works.records.peek('clocks', ann.id)).toBeUndefined();
    expect(await hears(works, ann, 'work.hold', { ...onWork, reason: 'part', note: '' }, live(130))).toBe(
      'state_forbids',
    );
  });
});

describe('hazards that changed meanwhile', () => {
  const acknowledged = { ...onWork, hazardIds: [asId<never>('rotating')] };

  it('do not undo what was done under the list as it was', async () => {
    const works = new Works({ ...both, hazards }, [aStep(1)]);
    expect(
      await hears(works, bob, 'work.add-hazard', { ...onWork, hazard: 'Ice', control: 'Crampons' }, live(30)),
    ).toBe('accepted');
    expect(await hears(works, ann, 'work.acknowledge-hazards', acknowledged, offline(20))).toBe('accepted');
    const tick = { ...onWork, stepId: aStep(1).id, answer: { type: 'tick' as const } };
    expect(await hears(works, ann, 'step.answer', tick, offline(50))).toBe('accepted');
  });

  it('are read again before going on', async () => {
    const works = new Works({ ...both, hazards });
    await hears(works, ann, 'work.acknowledge-hazards', acknowledged, live(5));
    await hears(works, bob, 'work.acknowledge-hazards', acknowledged, live(6));
    await hears(works, bob, 'work.add-hazard', { ...onWork, hazard: 'Ice', control: 'Crampons' }, live(30));
    expect(await hears(works, ann, 'clock.start', onWork, live(40))).toBe('hazards_not_acknowledged');
    expect(await hears(works, ann, 'work.acknowledge-hazards', acknowledged, live(41))).toBe('hazards_changed');
    // Whoever adds a hazard has read it.
    expect(await hears(works, bob, 'clock.start', onWork, live(42))).toBe('accepted');
  });
});

describe('two answers to one step', () => {
  const found = (asFound: 'good' | 'faulty' | null): StepAnswer | null => {
    if (asFound === null) return null;
    return asFound === 'good'
      ? { type: 'finding', asFound, asLeft: null }
      : { type: 'finding', asFound, asLeft: 'faulty' };
  };
  const answer = (asFound: 'good' | 'faulty' | null): ArgsOf<'step.answer'> => ({
    ...onWork,
    stepId: aStep(1).id,
    answer: found(asFound),
  });

  it.each([
    ['an answer', 'good' as const],
    ['an answer taken back', null],
  ])('leave the one that was given later, here %s, and both in the record', async (_, later) => {
    const works = new Works(both, [aStep(1, { type: 'finding' })]);
    await hears(works, bob, 'step.answer', answer('good'), live(30));
    await hears(works, bob, 'step.answer', answer(later), live(50));
    expect(await hears(works, ann, 'step.answer', answer('faulty'), offline(40))).toBe('accepted');
    expect(works.records.peek('steps', aStep(1).id)?.answer?.value ?? null).toEqual(found(later));
    expect(works.entries.filter(({ content }) => content.kind === 'answer')).toHaveLength(3);
  });
});

describe('what can only be had once', () => {
  it('is recorded of both where both took it: the last of a bin, which then has to be counted', async () => {
    const works = new Works(both);
    await hears(works, bob, 'part.use', { ...onWork, partId, binId, quantity: 7_000 }, live(30));
    expect(await hears(works, ann, 'part.use', { ...onWork, partId, binId, quantity: 2_000 }, offline(20))).toBe(
      'accepted',
    );
    expect(works.onHand).toBe(-1_000);
    expect(currentOf(works.entries, 'part').map(({ content }) => content.belowZero?.onHand)).toEqual([
      undefined,
      -1_000,
    ]);
  });

  it('is refused to the second: an amendment of what was amended', async () => {
    const works = new Works(both);
    await hears(works, ann, 'note.add', { ...onWork, text: 'one' }, live(10));
    const entryId = works.entries[0]?.id ?? asId<EntryId>('none');
    await hears(works, lea, 'note.amend', { ...onWork, entryId, text: 'two' }, live(30));
    expect(await hears(works, ann, 'note.amend', { ...onWork, entryId, text: 'three' }, offline(20))).toBe(
      'entry_amended_already',
    );
  });

  it('is refused to the second: a bin that is gone', async () => {
    const works = new Works(both);
    works.records.change([{ table: 'bins', id: binId, row: null }]);
    expect(await hears(works, ann, 'part.use', { ...onWork, partId, binId, quantity: 1_000 }, offline(20))).toBe(
      'not_found',
    );
  });
});
