import fc from 'fast-check';
import { asId, type EntryId, type OperationId, type PersonId, type ShareId, type StepId } from '../../../kernel/ids';
import type { Instant } from '../../../kernel/time/instant';
import { costOf, costOfShares } from '../../../registry/entries';
import {
  ann,
  anEntry,
  anOperation,
  aShare,
  aStep,
  assetId,
  aWorkOrder,
  bob,
  lea,
  noon,
  someSettings,
  workId,
} from '../../../testing/builders';
import { codeOf, minutesLater, Works } from '../../../testing/works';
import { demandsOf } from '../../finishing/lifecycle/demands-of';
import { owedBefore } from '../../finishing/lifecycle/owed';
import type { Step } from '../../steps/steps/step';
import type { Entry, EntryContent } from '../../orders/work/entries';
import { entriesByShare } from './by-share';
import { holderAt, progressOfShares, sharesOfSteps, type Share } from './share';

const onWork = { workOrderId: workId };
const steps = [1, 2, 3, 4].map((position) => aStep(position));
const ids = steps.map(({ id }) => id);
const about = (...stepIds: StepId[]) => ({ tradeId: null, assetId: null, plannedMinutes: 90, stepIds });
const sharesIn = (works: Works): readonly Share[] => works.records.peekList('shares', 'workOrder', workId);
const [first, second] = [asId<ShareId>('one'), asId<ShareId>('two')];
const at = (position: number): Step => steps[position - 1] as Step;

describe('making a share', () => {
  it('puts steps into it with trade, machine and planned time, and gives the work to whoever has it', async () => {
    const works = new Works({ personIds: [ann.id] }, steps);
    const made = await works.do('share.make', { ...onWork, personId: bob.id, ...about(at(1).id, at(2).id) }, lea);
    expect(codeOf(made)).toBe('accepted');
    expect(sharesIn(works)).toEqual([
      expect.objectContaining({
        personId: bob.id,
        tradeId: bob.tradeId,
        assetId,
        plannedMinutes: 90,
        stepIds: [at(1).id, at(2).id],
        madeBy: lea.id,
      }),
    ]);
    expect([works.work?.sharedWith, works.work?.personIds]).toEqual([[bob.id], [ann.id]]);
    expect(works.entries.map(({ content }) => content)).toEqual([
      expect.objectContaining({ kind: 'share', act: 'made', personId: bob.id, steps: 2 }),
    ]);
    // It is Bob's to work on now.
    expect(codeOf(await works.do('note.add', { ...onWork, text: 'Begun' }, bob))).toBe('accepted');
  });

  it('is a technician’s for themselves, and a lead’s for anybody on the site', async () => {
    const works = new Works({ personIds: [ann.id] }, steps);
    const share = { ...onWork, ...about(at(1).id) };
    expect(codeOf(await works.do('share.make', { ...share, personId: bob.id }))).toBe('share_of_another');
    expect(codeOf(await works.do('share.make', { ...share, personId: bob.id }, bob))).toBe('work_order_not_yours');
    const nobody = asId<PersonId>('nobody');
    expect(codeOf(await works.do('share.make', { ...share, personId: nobody }, lea))).toBe('not_found');
    expect(codeOf(await works.do('share.make', { ...share, personId: ann.id }))).toBe('accepted');
  });

  it('leaves steps of another share there, and is refused where none is left, or where something is not there', async () => {
    const works = new Works({ personIds: [ann.id, bob.id] }, steps);
    const mine = { ...onWork, personId: bob.id };
    await works.do('share.make', { ...onWork, personId: ann.id, ...about(at(1).id, at(2).id) });
    await works.do('share.make', { ...mine, ...about(at(2).id, at(3).id) }, bob, minutesLater(1));
    expect(sharesIn(works).map(({ personId, stepIds }) => [personId, stepIds])).toEqual(
      expect.arrayContaining([
        [ann.id, [at(1).id, at(2).id]],
        [bob.id, [at(3).id]],
      ]),
    );
    const refusals = [
      about(at(1).id),
      about(),
      about(asId<StepId>('elsewhere')),
      { ...about(at(4).id), tradeId: 'juggling' },
      { ...about(at(4).id), assetId: asId<never>('gone') },
    ];
    const codes: string[] = [];
    for (const refused of refusals) codes.push(codeOf(await works.do('share.make', { ...mine, ...refused }, bob)));
    expect(codes).toEqual(['share_steps_taken', 'no_steps_given', 'not_found', 'not_found', 'not_found']);
  });
});

describe('a share', () => {
  const shared = async (): Promise<{ works: Works; shareId: ShareId }> => {
    const works = new Works({ personIds: [ann.id] }, steps);
    await works.do('share.make', { ...onWork, personId: ann.id, ...about(at(1).id) });
    return { works, shareId: sharesIn(works)[0]?.id ?? first };
  };

  it('is passed on and changed by whoever has it, or by a lead, and by nobody else', async () => {
    const { works, shareId } = await shared();
    const on = { ...onWork, shareId };
    expect(codeOf(await works.do('share.pass-on', { ...on, personId: bob.id }, ann, minutesLater(5)))).toBe('accepted');
    expect(codeOf(await works.do('share.change', { ...on, ...about(at(2).id) }, ann))).toBe('share_of_another');
    expect(codeOf(await works.do('share.change', { ...on, ...about(at(2).id, at(3).id) }, bob))).toBe('accepted');
    expect(codeOf(await works.do('share.dissolve', on, ann))).toBe('share_of_another');
    const [share] = sharesIn(works);
    expect([share?.personId, share?.stepIds]).toEqual([bob.id, [at(2).id, at(3).id]]);
    expect([holderAt(share ?? aShare(), minutesLater(4)), holderAt(share ?? aShare(), minutesLater(5))]).toEqual([
      ann.id,
      bob.id,
    ]);
    expect(codeOf(await works.do('share.dissolve', on, lea))).toBe('accepted');
    expect([sharesIn(works), works.work?.sharedWith]).toEqual([[], []]);
  });

  it('that went to somebody else leaves what its holder did before they could know', async () => {
    const works = new Works({ personIds: [] }, steps);
    await works.do('share.make', { ...onWork, personId: bob.id, ...about(at(1).id) }, lea);
    const shareId = sharesIn(works)[0]?.id ?? first;
    await works.do('share.pass-on', { ...onWork, shareId, personId: ann.id }, lea, minutesLater(10));
    const note = { ...onWork, text: 'Half of it is done' };
    const since = { by: bob.id, at: minutesLater(20), knownUntil: minutesLater(5) };
    expect(codeOf(await works.send(anOperation('note.add', note, since), bob))).toBe('accepted');
    const knowing = { ...since, id: asId<OperationId>('later'), knownUntil: minutesLater(20) };
    expect(codeOf(await works.send(anOperation('note.add', note, knowing), bob))).toBe('work_order_not_yours');
  });

  it('owes its finisher one line, and not each of its steps', () => {
    const shares = [aShare({ id: first, personId: bob.id, stepIds: [at(1).id, at(2).id] })];
    const recorded = { work: aWorkOrder(), steps, entries: [], clocks: [], shares, points: [] };
    const wanted = { ...demandsOf(someSettings(), aWorkOrder()), time: 'not' as const };
    const owed = owedBefore(ann.id, recorded, wanted);
    expect(owed).toEqual([
      { what: 'step', stepId: at(3).id, text: at(3).text, demand: 'must' },
      { what: 'step', stepId: at(4).id, text: at(4).text, demand: 'must' },
      { what: 'share', shareId: first, personId: bob.id, progress: { done: 0, of: 2 }, demand: 'must' },
    ]);
    expect(owedBefore(bob.id, recorded, wanted).map(({ what }) => what)).toEqual(Array<string>(4).fill('step'));
  });

  it('has the steps that are part of its steps, unless those were put into another', () => {
    const part = aStep(5, { type: 'tick' }, { parentId: at(1).id });
    const partOfPart = aStep(6, { type: 'tick' }, { parentId: part.id });
    const shares = [
      aShare({ id: first, stepIds: [at(1).id] }),
      aShare({ id: second, personId: bob.id, stepIds: [partOfPart.id] }),
    ];
    const all = [...steps, part, partOfPart];
    expect([...sharesOfSteps(shares, all)].map(([id, share]) => [id, share.id])).toEqual([
      [at(1).id, first],
      [part.id, first],
      [partOfPart.id, second],
    ]);
    expect(progressOfShares(shares, all).get(first)).toEqual({ done: 0, of: 2 });
  });
});

const said = (id: string, content: EntryContent, by: PersonId, when: Instant, given: Partial<Entry> = {}): Entry =>
  anEntry(content, { id: asId<EntryId>(id), by, at: when, ...given });
const labor = (personId: PersonId, minutes: number, stepId?: StepId): EntryContent => ({
  kind: 'labor',
  personId,
  startedAt: noon,
  minutes,
  timeType: 'regular',
  rate: null,
  cost: null,
  ...(stepId === undefined ? {} : { stepId }),
});
const tick = (stepId: StepId): EntryContent => ({ kind: 'answer', stepId, answer: { type: 'tick' }, faulty: null });

describe('what was recorded in a share', () => {
  it('is what is about one of its steps, and what its holder recorded while they had it', () => {
    const shares = [
      aShare({
        id: first,
        personId: bob.id,
        earlier: [{ personId: ann.id, until: minutesLater(10) }],
        stepIds: [at(1).id],
      }),
    ];
    const entries = [
      said('before', labor(ann.id, 5), ann.id, minutesLater(5)),
      said('after', labor(ann.id, 7), ann.id, minutesLater(15)),
      said('by-the-lead', labor(bob.id, 11), lea.id, minutesLater(15)),
      said('on-the-step', labor(lea.id, 13, at(1).id), lea.id, minutesLater(15)),
      said('amended-later', labor(ann.id, 6), ann.id, minutesLater(20), { amends: asId<EntryId>('before') }),
    ];
    const cost = costOfShares(shares, steps, entries);
    expect([cost.shares.get(first)?.laborMinutes, cost.rest.laborMinutes]).toEqual([6 + 11 + 13, 7]);
  });

  it('of somebody with several goes where they answered a step last', () => {
    const shares = [
      aShare({ id: first, stepIds: [at(1).id] }),
      aShare({ id: second, stepIds: [at(2).id], madeAt: minutesLater(1) }),
    ];
    const entries = [
      said('early', labor(ann.id, 1), ann.id, minutesLater(2)),
      said('answered', tick(at(2).id), ann.id, minutesLater(3)),
      said('late', labor(ann.id, 2), ann.id, minutesLater(4)),
    ];
    const found = entriesByShare(shares, steps, entries);
    expect([found.get(first), found.get(second)].map((some) => some?.map(({ id }) => id))).toEqual([
      ['early'],
      ['answered', 'late'],
    ]);
  });

  it('adds up: every entry is in one share or in none', () => {
    const entry = fc.record({
      by: fc.constantFrom(ann.id, bob.id, lea.id),
      minutes: fc.integer({ min: 1, max: 600 }),
      when: fc.integer({ min: 0, max: 100 }),
      stepId: fc.option(fc.constantFrom(...ids), { nil: undefined }),
    });
    const holders = fc.record({ one: fc.constantFrom(ann.id, bob.id), two: fc.constantFrom(ann.id, bob.id) });
    const split = fc.array(fc.constantFrom(0, 1, 2), { minLength: steps.length, maxLength: steps.length });
    fc.assert(
      fc.property(fc.array(entry, { maxLength: 12 }), holders, split, (recorded, { one, two }, into) => {
        const entries = recorded.map(({ by, minutes, when, stepId }, index) =>
          said(`e${index}`, labor(by, minutes, stepId), by, minutesLater(when)),
        );
        const of = (share: number) => ids.filter((_, index) => into[index] === share);
        const shares = [
          aShare({ id: first, personId: one, stepIds: of(1) }),
          aShare({ id: second, personId: two, stepIds: of(2) }),
        ];
        const cost = costOfShares(shares, steps, entries);
        const parts = [...cost.shares.values(), cost.rest].map(({ laborMinutes }) => laborMinutes);
        expect(parts.reduce((sum, minutes) => sum + minutes, 0)).toBe(costOf(entries).laborMinutes);
      }),
    );
  });
});

describe('two who make shares at once', () => {
  it('end with each step in one share at most, whoever is heard first', async () => {
    const choice = fc.uniqueArray(fc.constantFrom(...ids), { minLength: 1 });
    await fc.assert(
      fc.asyncProperty(choice, choice, fc.boolean(), async (anns, bobs, isBobFirst) => {
        const works = new Works({ personIds: [ann.id, bob.id] }, steps);
        const make = (by: typeof ann, stepIds: StepId[], id: string): Promise<unknown> =>
          works.send(
            anOperation(
              'share.make',
              { ...onWork, personId: by.id, ...about(...stepIds) },
              { id: asId<OperationId>(id), by: by.id, at: noon, knownUntil: noon },
            ),
            by,
          );
        const both = [() => make(ann, anns, 'a'), () => make(bob, bobs, 'b')];
        for (const each of isBobFirst ? both.reverse() : both) await each();
        const put = sharesIn(works).flatMap(({ stepIds }) => stepIds);
        expect([...put].sort()).toEqual([...new Set([...anns, ...bobs])].sort());
      }),
    );
  });
});
