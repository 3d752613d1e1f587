import { addMinutes, asId, type AssetId, type EntryId, type ShareId, type StopId } from '@oilcan/core/kernel';
import type { Share } from '@oilcan/core/recording/shares';
import type { WorkOrder } from '@oilcan/core/orders/work';
import {
  anEntry,
  ann,
  anAsset,
  aShare,
  aStep,
  aStop,
  bob,
  lea,
  noon,
  put,
  smallWorks,
  workId,
} from '@oilcan/core/testing';
import type { Person } from '@oilcan/core/plant/people';
import { canPress, press, type, words } from '../../../testing/hands';
import { OnWork, TestWorks } from '../../../testing/works';
import { WorkPart } from '../../steps/steps';
import { RoundPart } from '../../steps/rounds';
import { WorkRow } from '../../finishing/shift/work-row';
import { ShareCosts } from './share-costs';

const [drain, fill, wire] = [
  aStep(1, { type: 'tick' }, { text: 'Drain' }),
  aStep(2, { type: 'tick' }, { text: 'Fill' }),
  aStep(3, { type: 'tick' }, { text: 'Wire' }),
] as const;
const steps = [drain, fill, wire];
const [mine, bobs] = [asId<ShareId>('mine'), asId<ShareId>('bobs')];
const shareOf = (id: ShareId, person: Person, stepIds: Share['stepIds'], given: Partial<Share> = {}) =>
  put('shares', aShare({ id, personId: person.id, stepIds, plannedMinutes: 90, ...given }));

let works: TestWorks;
const open = async (
  more: Parameters<typeof TestWorks.open>[0],
  { work = {}, person = ann }: { readonly work?: Partial<WorkOrder>; readonly person?: Person } = {},
): Promise<void> => {
  const given = { state: 'underway', personIds: [ann.id], ...work } as const;
  works = await TestWorks.open([...smallWorks(given, steps), ...more], person);
  await works.show(<OnWork>{(each) => <WorkPart work={each} onPlaced={() => undefined} />}</OnWork>);
};
afterEach(() => works.close());
const kept = async (): Promise<readonly Share[]> => (await works.sent()).peekList('shares', 'workOrder', workId);

describe('the shares of a job', () => {
  it('are shown with whose they are and how far, and one’s own steps first, numbered as in the whole job', async () => {
    await open([shareOf(mine, ann, [wire.id]), shareOf(bobs, bob, [drain.id])]);
    expect(words()).toMatch(/Your shareMechanical0 of 1 step, 0\smin of 1\sh 30/);
    expect(words()).toMatch(/Share of BobMechanical0 of 1 step/);
    expect(words()).not.toContain('Fill');
    expect(canPress('More of step 3')).toBe(true);
    await press('All steps', 'radio');
    expect(words()).toMatch(/DrainShare of Bob.*Fill.*WireYour share/);
    await press('My share', 'radio');
    await press('Wire', 'checkbox');
    expect(words()).toMatch(/Your shareMechanical1 of 1 step/);
  });

  it('are made of chosen steps for a planned time; what is not one’s own to give is not asked for', async () => {
    await open([shareOf(bobs, bob, [drain.id])]);
    await press('Give steps to somebody');
    expect(words()).not.toContain('Whose');
    expect(canPress(/Drain/, 'checkbox')).toBe(true);
    await press('Make this share');
    expect(words()).toContain('Give at least one step.');
    await press(/^3.*Wire/, 'checkbox');
    await type('How long', 'soon');
    await press('Make this share');
    expect(words()).toContain('Write how long as 1:30, 1.5, 90m or 1h30.');
    await type('How long', '1:30');
    await press('Make this share');
    expect(works.said).toBe('The share is made.');
    expect((await kept()).find(({ id }) => id !== bobs)).toMatchObject({
      personId: ann.id,
      plannedMinutes: 90,
      stepIds: [wire.id],
    });
  });

  it('are made for anybody by a lead', async () => {
    await open([], { person: lea });
    await press('Give steps to somebody');
    await press('Bob', 'radio');
    await press(/^1.*Drain/, 'checkbox');
    await press('Make this share');
    expect(await kept()).toEqual([expect.objectContaining({ personId: bob.id, madeBy: lea.id, plannedMinutes: 0 })]);
    expect((await works.sent()).peek('workOrders', workId)?.sharedWith).toEqual([bob.id]);
  });

  it('are passed on, changed, and dissolved when it is said twice', async () => {
    await open([shareOf(mine, ann, [wire.id])], { work: { sharedWith: [ann.id] } });
    await press(/^Your share/);
    await press('Change');
    await press(/^2.*Fill/, 'checkbox');
    await press('Keep it so');
    expect((await kept())[0]?.stepIds).toEqual([wire.id, fill.id]);
    await press(/^Your share/);
    await press('Pass on');
    await press('Bob', 'radio');
    expect((await kept())[0]).toMatchObject({ personId: bob.id, earlier: [{ personId: ann.id }] });
    // It is Bob's now, and not hers to arrange.
    await press(/^Share of Bob/);
    expect([canPress('Pass on'), canPress('Dissolve')]).toEqual([false, false]);
  });

  it('are dissolved when it is said twice', async () => {
    await open([shareOf(mine, ann, [wire.id])], { work: { sharedWith: [ann.id] } });
    await press(/^Your share/);
    await press('Dissolve');
    expect(await kept()).toHaveLength(1);
    await press('Yes, dissolve it');
    expect(await kept()).toEqual([]);
  });

  it('say what they cost, and what is in none', async () => {
    const labor = (personId: Person['id'], minutes: number) =>
      ({ kind: 'labor', personId, startedAt: noon, minutes, timeType: 'regular', rate: null, cost: null }) as const;
    await open([
      shareOf(bobs, bob, [drain.id]),
      put('entries', anEntry(labor(bob.id, 45), { id: asId<EntryId>('of-bob'), by: bob.id })),
      put('entries', anEntry(labor(ann.id, 20), { id: asId<EntryId>('of-ann') })),
    ]);
    await works.show(<OnWork>{(work) => <ShareCosts work={work} />}</OnWork>);
    expect(words()).toMatch(/Share of Bob, Mechanical: 45\smin.*In no share: 20\smin/);
  });
});

describe('a share on the Shift list', () => {
  const row = () =>
    works.show(
      <OnWork>
        {(work) => <WorkRow work={work} present={addMinutes(noon, 60)} isChosen={false} onOpen={() => undefined} />}
      </OnWork>,
    );

  it('stands in place of the whole for somebody who has no more, and beside it for others', async () => {
    await open([shareOf(mine, ann, [wire.id])], { work: { personIds: [bob.id], sharedWith: [ann.id] } });
    await row();
    expect(words()).toMatch(/My share: 0 of 1, 1\sh 30/);
    expect(words()).not.toContain('0 of 3');
    await works.close();
    await open([shareOf(mine, ann, [wire.id])], { work: { personIds: [ann.id], sharedWith: [ann.id] } });
    await row();
    expect(words()).toMatch(/0 of 3.*My share: 0 of 1/);
  });
});

describe('a share of a round', () => {
  const stops = [1, 2, 3].map((position) =>
    aStop({ id: asId<StopId>(`stop-${position}`), position, assetId: asId<AssetId>(`machine-${position}`) }),
  );
  const machines = stops.map(({ assetId }, index) =>
    put('assets', anAsset({ id: assetId, name: `Pump ${index + 1}` })),
  );
  const looks = stops.map(({ id }, index) => aStep(index + 1, { type: 'tick' }, { stopId: id, text: 'Look' }));

  it('is walked by its own stops, which keep their numbers; all are shown on a press', async () => {
    const rows = [...machines, ...stops.map((each) => put('stops', each)), ...looks.map((each) => put('steps', each))];
    const ofLast = looks.slice(1).map(({ id }) => id);
    works = await TestWorks.open([...smallWorks({ state: 'underway' }), ...rows, shareOf(mine, ann, ofLast)]);
    await works.show(<OnWork>{(work) => <RoundPart work={work} stops={stops} onPlaced={() => undefined} />}</OnWork>);
    expect(words()).toMatch(/0 of 2 stops done.*Stop 2 of 3.*Pump 2/);
    await press('Look', 'checkbox');
    expect(words()).toContain('Pump 2');
    await press(/^Next: 3, Pump 3/);
    await press('All steps', 'radio');
    expect(words()).toContain('1 of 3 stops done');
  });
});
