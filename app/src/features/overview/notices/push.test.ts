import { addMinutes } from '@oilcan/core/kernel';
import type { NoticeChoice, NoticeKind } from '@oilcan/core/overview/notices';
import type { Change } from '@oilcan/core/records';
import { ann, bob, put, smallWorks, workId } from '@oilcan/core/testing';
import { presentOfTest, TestWorks } from '../../../testing/works';
import { isPathToOpen } from './path-to-open';
import { askForPush, followPushes, pushStanding, showPushes } from './push';

/** What a browser shows, and what a press on it tells the page. */
const shown: string[] = [];
let tell: (message: unknown) => void = () => undefined;
const workers = {
  ready: Promise.resolve({
    showNotification: (title: string, { body, data }: { body: string; data: unknown }) => {
      shown.push(`${title} | ${body} | ${JSON.stringify(data)}`);
      return Promise.resolve();
    },
  }),
  addEventListener: (_: string, listener: (event: { data: unknown }) => void) => {
    tell = (data) => listener({ data });
  },
  removeEventListener: () => {
    tell = () => undefined;
  },
};
const allow = (permission: NotificationPermission): void => {
  Object.assign(globalThis, {
    Notification: { permission, requestPermission: () => Promise.resolve(allow('granted')) },
  });
};

let works: TestWorks;
let stop: () => void;
const notice = (kind: NoticeKind, minutes: number, personId = ann.id): Change =>
  put('notices', {
    id: `${personId}@${kind}`,
    personId,
    kind,
    workOrderId: workId,
    number: 'W-1',
    title: 'Seal weeping',
    facts: kind === 'handedBack' ? [{ is: 'reason', reason: 'Still wet' }] : [],
    at: addMinutes(presentOfTest(), minutes),
    seenAt: null,
  });
const come = async (...changes: readonly Change[]): Promise<void> => {
  await works.server.write(changes);
  await works.sent();
};

beforeEach(async () => {
  shown.length = 0;
  Object.defineProperty(navigator, 'serviceWorker', { value: workers, configurable: true });
  allow('granted');
  works = await TestWorks.open(smallWorks());
  stop = showPushes(presentOfTest());
});
afterEach(async () => {
  stop();
  await works.close();
});

describe('notifications of the browser', () => {
  it('show what is new and chosen, of nobody else, once', async () => {
    await come(notice('handedBack', 1), notice('late', 1), notice('given', -5), notice('given', 1, bob.id));
    await come(...smallWorks());
    expect(shown).toEqual([`Handed back: Still wet | W-1 Seal weeping | {"open":"/shift/${workId}"}`]);
  });

  it('follow the choice, kind by kind', async () => {
    const choice: NoticeChoice = { id: ann.id, personId: ann.id, silent: [], mail: [], push: ['late'] };
    await come(put('noticeChoices', choice));
    await come(notice('handedBack', 1), notice('late', 2));
    expect(shown.map((each) => each.split(' | ')[0])).toEqual(['Late']);
  });

  it('show nothing where they are not allowed', async () => {
    allow('denied');
    await come(notice('handedBack', 1));
    expect([shown, pushStanding()]).toEqual([[], 'not to be had']);
    allow('default');
    expect([pushStanding(), await askForPush()]).toEqual(['asked for', 'allowed']);
  });

  it('lead to their work order when they are pressed, and nowhere else', () => {
    const gone: string[] = [];
    const leave = followPushes((path) => gone.push(path));
    for (const message of [{ open: '/shift/w-1' }, { open: 'https://elsewhere.test' }, { type: 'other' }, null])
      tell(message);
    leave();
    tell({ open: '/shift/w-2' });
    expect(gone).toEqual(['/shift/w-1']);
  });

  it.each([{ open: '/shift/../desk' }, { open: '/shift/' }, { open: 4 }, 'text', undefined])(
    'do not take %j',
    (given) => {
      expect(isPathToOpen(given)).toBe(false);
    },
  );
});
