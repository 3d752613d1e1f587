import fc from 'fast-check';
import { asId, type AssetId, type EntryId, type FileId, type StepId, type WorkOrderId } from '../../../kernel/ids';
import { ann, anOperation, aPoint, aRaise, aStep, aWorkOrder, lea, pointId, workId } from '../../../testing/builders';
import { codeOf, minutesLater, Works } from '../../../testing/works';
import { problemsAmong } from '../../past/past/past-job';
import type { StepAnswer } from '../../steps/steps/kinds/kinds';
import type { Step } from '../../steps/steps/step';
import { chainBefore } from '../../orders/work/chain';
import { joined, leftOvers, proposalsFor, split, type LeftOver, type Proposal } from './left';
import { saidAbout } from './said-about';

const onWork = { workOrderId: workId };
const answeredWith = (step: Step, value: StepAnswer): Step => ({
  ...step,
  answer: { value, at: minutesLater(1), by: ann.id, entryId: asId<EntryId>('e') },
});
const finding = (number: number, asLeft: 'faulty' | 'putRight'): Step =>
  answeredWith(aStep(number, { type: 'finding' }), { type: 'finding', asFound: 'faulty', asLeft });

function leftOn(works: Works, steps: readonly Step[]): LeftOver[] {
  const { records, work } = works;
  if (work === undefined) throw new Error('There is no such work.');
  return leftOvers({
    work,
    steps,
    stops: [],
    entries: works.entries,
    shares: [],
    pointOf: (id) => records.peek('points', id),
    led: records.peekList('workOrders', 'cameFrom', work.id),
    isAnswered: () => false,
  });
}

describe('what a job leaves to be done', () => {
  it('is what was left faulty, and not what was put right or never answered', () => {
    const works = new Works({ state: 'underway' });
    const steps = [finding(1, 'faulty'), finding(2, 'putRight'), aStep(3, { type: 'finding' })];
    expect(leftOn(works, steps).map(({ key }) => key)).toEqual([aStep(1).id]);
  });

  it('is a value beyond its alarm, by the last one taken, until work is raised for it', async () => {
    const works = new Works({ state: 'underway' });
    await works.do('reading.add', { ...onWork, pointId, value: 90 });
    expect(leftOn(works, [])).toMatchObject([{ is: 'alarm', pointId, name: aPoint().name, value: 90 }]);
    const raised = aRaise({ number: 'W-8', cameFrom: workId, answers: [pointId] });
    expect(codeOf(await works.do('work.raise', raised, lea, minutesLater(1)))).toBe('accepted');
    expect(leftOn(works, [])).toEqual([]);
    const cool = new Works({ state: 'underway' });
    await cool.do('reading.add', { ...onWork, pointId, value: 90 });
    await cool.do('reading.add', { ...onWork, pointId, value: 60 }, ann, minutesLater(5));
    expect(leftOn(cool, [])).toEqual([]);
  });
});

describe('proposals of further work', () => {
  const item = (key: number, asset: number, trade: number): LeftOver => ({
    key: `k-${key}`,
    assetId: asId<AssetId>(`a-${asset}`),
    tradeId: `t-${trade}`,
    is: 'faulty',
    step: aStep(key),
  });
  const items = fc
    .array(fc.tuple(fc.nat(3), fc.nat(2)), { maxLength: 12 })
    .map((pairs) => pairs.map(([asset, trade], index) => item(index, asset, trade)));
  const keysOf = (proposals: readonly Proposal[]): string[] =>
    proposals
      .flat()
      .map(({ key }) => key)
      .sort();

  it('gather by machine and trade; joined and split by hand nothing is lost and nothing doubled', () => {
    fc.assert(
      fc.property(items, fc.array(fc.tuple(fc.boolean(), fc.nat(12)), { maxLength: 8 }), (left, deeds) => {
        const first = proposalsFor(left);
        for (const proposal of first)
          expect(new Set(proposal.map(({ assetId, tradeId }) => `${assetId} ${tradeId}`)).size).toBe(1);
        const after = deeds.reduce(
          (proposals, [isJoin, index]) => (isJoin ? joined(proposals, index) : split(proposals, index)),
          first,
        );
        expect(keysOf(after)).toEqual(keysOf([left as never]));
      }),
    );
  });
});

describe('notes and photos that go along', () => {
  it('stand in the record of the further work as they were, by whom they were', async () => {
    const works = new Works({ state: 'underway' });
    const note = anOperation('note.add', { ...onWork, text: 'Hose is chafed' });
    await works.send(note);
    const raise = (carried: EntryId[], number = 'W-8') =>
      works.do('work.raise', aRaise({ number, cameFrom: workId, carried }), lea, minutesLater(5));
    expect(codeOf(await raise([asId<EntryId>('gone')]))).toBe('not_found');
    expect(codeOf(await raise([asId<EntryId>(note.id)]))).toBe('accepted');
    const [led] = works.records.peekList('workOrders', 'cameFrom', workId);
    const [kept] = works.records.peekList('entries', 'workOrder', led?.id ?? '');
    expect(kept).toMatchObject({ by: ann.id, content: { kind: 'note', text: 'Hose is chafed' } });
  });
});

describe('what was said of something that is left', () => {
  it('goes along: words and pictures at its step and at the questions below it, and nothing of other steps', async () => {
    const found = { id: asId<StepId>('s-found') };
    const below = { parentId: found.id, condition: null };
    const asked = [
      aStep(1, { type: 'finding' }, found),
      aStep(2, { type: 'text' }, { ...below, id: asId<StepId>('s-where') }),
      aStep(3, { type: 'photo' }, { ...below, id: asId<StepId>('s-picture') }),
      aStep(4, { type: 'finding' }, { id: asId<StepId>('s-other') }),
    ];
    const works = new Works({ state: 'underway' }, asked);
    const answer = (stepId: string, value: StepAnswer) =>
      works.do('step.answer', { ...onWork, stepId: asId<StepId>(stepId), answer: value });
    const fileId = asId<FileId>('b'.repeat(64));
    await answer('s-found', { type: 'finding', asFound: 'faulty', asLeft: 'faulty' });
    await answer('s-where', { type: 'text', text: 'Above the clamp' });
    await answer('s-picture', { type: 'photo', fileId, mediaType: 'image/jpeg', width: 4, height: 3 });
    const note = (stepId: string, text: string) =>
      works.do('note.add', { ...onWork, stepId: asId<StepId>(stepId), assetId: undefined, text });
    await note('s-found', 'Chafed through to the braid');
    await note('s-other', 'Nothing to do with it');
    const steps = works.records.peekList('steps', 'workOrder', workId);
    const [left] = leftOn(works, steps);
    if (left === undefined) throw new Error('Nothing is left.');
    const said = saidAbout(left, steps, works.entries);
    expect(said.answers.map(({ id }) => id)).toEqual(['s-where']);
    expect(said.notes).toEqual(['Chafed through to the braid']);
    const raised = aRaise({ number: 'W-8', cameFrom: workId, answers: [found.id], carried: [...said.carried] });
    expect(codeOf(await works.do('work.raise', raised, lea, minutesLater(5)))).toBe('accepted');
    const [led] = works.records.peekList('workOrders', 'cameFrom', workId);
    const kept = works.records.peekList('entries', 'workOrder', led?.id ?? '');
    expect(kept.map(({ by, assetId, content }) => ({ by, assetId, content }))).toEqual([
      { by: ann.id, assetId: led?.assetId, content: { kind: 'note', text: 'Chafed through to the braid' } },
      {
        by: ann.id,
        assetId: led?.assetId,
        content: { kind: 'photo', fileId, mediaType: 'image/jpeg', width: 4, height: 3, caption: '' },
      },
    ]);
  });
});

describe('a chain of work', () => {
  const link = (id: string, cameFrom: string | null) =>
    aWorkOrder({
      id: asId<WorkOrderId>(id),
      number: id,
      cameFrom: cameFrom === null ? null : asId<WorkOrderId>(cameFrom),
    });

  it('is followed to its beginning, and one that leads back to itself ends', () => {
    const works = [link('a', null), link('b', 'a'), link('c', 'b'), link('x', 'y'), link('y', 'x')];
    const find = (id: string) => works.find((work) => work.id === id);
    const before = (id: string) => chainBefore(find(id) ?? link(id, null), find).map((work) => work.id);
    expect(before('c')).toEqual(['b', 'a']);
    expect(before('a')).toEqual([]);
    expect(before('x')).toEqual(['y']);
  });

  it('was one problem: repairs that came from a repair are not counted again', () => {
    const job = (id: string, kind: 'corrective' | 'inspection', cameFrom?: string) => ({
      id: asId<WorkOrderId>(id),
      kind,
      state: 'accepted' as const,
      saidNone: [],
      faults: [],
      stoppages: [],
      ...(cameFrom === undefined ? {} : { cameFrom: asId<WorkOrderId>(cameFrom) }),
    });
    const jobs = [
      job('seal', 'corrective'),
      job('shaft', 'corrective', 'seal'),
      job('round', 'inspection'),
      job('hose', 'corrective', 'round'),
      job('look again', 'inspection', 'hose'),
      job('hose again', 'corrective', 'look again'),
      job('from elsewhere', 'corrective', 'not of this past'),
    ];
    expect(problemsAmong(jobs).map(({ id }) => id)).toEqual(['seal', 'hose', 'from elsewhere']);
  });
});
