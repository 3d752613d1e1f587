import { addMinutes } from '@oilcan/core/kernel';
import type { Notice } from '@oilcan/core/overview/notices';
import type { Change } from '@oilcan/core/records';
import { ann, bob, noon, put, smallWorks, workId } from '@oilcan/core/testing';
import { visited } from '../../../testing/router';
import { canPress, press, words } from '../../../testing/hands';
import { TestWorks } from '../../../testing/works';
import { NoticesMark } from './notices-mark';
import { NoticesScreen } from './notices-screen';

const notice = (given: Partial<Notice>): Change =>
  put('notices', {
    id: `${given.kind ?? 'given'}`,
    personId: ann.id,
    kind: 'given',
    workOrderId: workId,
    number: 'W-1',
    title: 'Seal weeping',
    facts: [],
    at: noon,
    seenAt: null,
    ...given,
  });
const rows = [
  ...smallWorks(),
  notice({ kind: 'given' }),
  notice({ kind: 'handedBack', facts: [{ is: 'reason', reason: 'Still wet' }], at: addMinutes(noon, 5) }),
  notice({ kind: 'late', seenAt: noon, at: addMinutes(noon, -60) }),
  notice({ kind: 'short', personId: bob.id }),
];

let works: TestWorks;
const open = async (given: readonly Change[] = rows): Promise<void> => {
  works = await TestWorks.open(given);
  await works.show(
    <>
      <NoticesMark />
      <NoticesScreen />
    </>,
  );
};
afterEach(() => works.close());

const seen = async (): Promise<string[]> =>
  (await works.sent())
    .peekAll('notices')
    .flatMap(({ id, seenAt }) => (seenAt === null ? [] : [id]))
    .sort();

describe('notices', () => {
  it('stand newest first, with how many are new, and nobody else’s among them', async () => {
    await open();
    expect(words()).toMatch(/2 new notices.*Handed back: Still wet.*Given to you.*Late/);
    expect(words()).not.toContain('short');
  });

  it('lead to their work order, and are seen then', async () => {
    await open();
    await press(/Handed back/, 'link');
    expect([visited.at(-1), await seen()]).toEqual([`/shift/${workId}`, ['handedBack', 'late']]);
    expect(words()).toContain('1 new notice');
  });

  it('are all seen at once', async () => {
    await open();
    await press('All seen');
    expect([words().includes('Nothing new'), await seen()]).toEqual([true, ['given', 'handedBack', 'late']]);
    expect(canPress('All seen')).toBe(false);
  });

  it('say what they will be about while there are none', async () => {
    await open(smallWorks());
    expect(words()).toContain('Nothing has concerned you yet.');
  });

  it('come as they are chosen, kind by kind', async () => {
    await open();
    await press('Choose what I hear of');
    await press('By mail', 'checkbox');
    expect((await works.sent()).peek('noticeChoices', ann.id)?.mail).toEqual(['given']);
    await press('In the list', 'checkbox');
    expect((await works.sent()).peek('noticeChoices', ann.id)?.silent).toEqual(['given']);
  });
});
