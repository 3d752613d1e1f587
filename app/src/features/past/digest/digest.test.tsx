import { addMinutes } from '@oilcan/core/kernel';
import { ann, anAsset, bob, noon, put, smallWorks } from '@oilcan/core/testing';
import { press, words } from '../../../testing/hands';
import { visited } from '../../../testing/router';
import { TestWorks } from '../../../testing/works';
import { noteSeen, useAway } from './away';
import { Digest } from './digest';

const before = (minutes: number) => addMinutes(noon, -minutes);
const handOver = { line: 'Hub is on', by: bob.id, at: before(60), since: before(60) };
const nothing = { seenAt: null, since: null };

let works: TestWorks;
beforeEach(() => useAway.getState().choose(nothing));
afterEach(() => works.close());

const open = async (): Promise<void> => {
  works = await TestWorks.open([
    ...smallWorks({ state: 'held', personIds: [ann.id], handOver }),
    put('assets', anAsset({ condition: 'stopped', conditionSince: before(30) })),
  ]);
  await works.show(<Digest />);
};

describe('what changed while I was away', () => {
  it('shows to whoever comes back after a shift, leads to each, and is gone when it is read', async () => {
    noteSeen(before(600));
    noteSeen(noon);
    await open();
    expect(words()).toContain('2 changes');
    expect(words()).toContain('Bob left Seal weeping to you: Hub is on');
    await press(/left Seal weeping/, 'link');
    expect(visited.at(-1)).toBe('/shift/w-1');
    await press(/^Read/);
    expect(words()).not.toContain('changes');
    expect(useAway.getState().value.since).toBeNull();
  });

  it('shows nothing to whoever was there a while ago, or comes for the first time', async () => {
    noteSeen(before(120));
    noteSeen(noon);
    await open();
    expect(words()).toBe('');
  });

  it('waits until it is read, however often Oilcan is opened meanwhile', () => {
    noteSeen(before(1_200));
    noteSeen(before(600));
    noteSeen(noon);
    expect(useAway.getState().value.since).toBe(before(1_200));
  });
});
