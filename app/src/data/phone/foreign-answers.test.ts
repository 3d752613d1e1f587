import { dequal } from 'dequal';
import { smallWorks, workId } from '@oilcan/core/testing';
import { settled } from '../../testing/hands';
import { TestWorks } from '../../testing/works';
import { httpLink } from '../server/http-link';
import { Unreachable } from '../server/server-link';
import { perform, synchronize, usePhone } from '../store/store';

let works: TestWorks;
let answering: typeof fetch;
beforeEach(async () => {
  works = await TestWorks.open(smallWorks());
  answering = globalThis.fetch;
});
afterEach(async () => {
  globalThis.fetch = answering;
  await works.close();
});

/** What may stand between a phone and its server answers so: a portal, a proxy, a cache, half a line. */
const statuses = [200, 204, 304, 401, 403, 404, 409, 426, 429, 500, 502, 503];
const page = '<!doctype html><title>Welcome on board</title>';
const foreign: Readonly<Record<string, (true_: string) => string>> = {
  nothing: () => '',
  'a page': () => page,
  null: () => 'null',
  'an empty object': () => '{}',
  'an empty list': () => '[]',
  'a word': () => '"ok"',
  'a number': () => '42',
  true: () => 'true',
  'the JSON of a portal': () => '{"status":"login","url":"http://portal.example/","code":511}',
  'the problem of another': () => '{"code":"AUTH_REQUIRED","message":"Sign in"}',
  'half of ours': (ours) => ours.slice(0, Math.floor(ours.length / 2)),
  'ours without its end': (ours) => ours.slice(0, -1),
  'ours with other kinds': (ours) =>
    JSON.stringify(Object.fromEntries(Object.keys(JSON.parse(ours) as object).map((name) => [name, 'x']))),
  'ours with nothing in it': (ours) =>
    JSON.stringify(Object.fromEntries(Object.keys(JSON.parse(ours) as object).map((name) => [name, null]))),
};
const isFine = (status: number): boolean => status >= 200 && status < 300;
const answer = (status: number, text: string): Response =>
  ({ ok: isFine(status), status, text: () => Promise.resolve(text) }) as Response;

/** Answers a route so until it is told to stop; everything else as ever. The true answer is made, and lost. */
function answerWith(route: string, status: number, change: (ours: string) => string): void {
  globalThis.fetch = async (...asked) => {
    const ours = await answering(...asked);
    if (!String(asked[0]).includes(route)) return ours;
    return answer(status, change(await ours.text()));
  };
}

describe('an answer that is not ours', () => {
  const routes = ['/api/operations', '/api/sync'];
  it.each(routes.flatMap((route) => Object.entries(foreign).map(([what, change]) => [route, what, change] as const)))(
    'counts as none, whatever its status, and everything goes once more: %s, %s',
    async (route, _, change) => {
      for (const status of statuses) {
        const text = `${route} ${status}`;
        answerWith(route, status, change);
        expect(await perform('note.add', { workOrderId: workId, text })).toEqual({ ok: true });
        await synchronize();
        expect([status, usePhone.getState().contact]).toEqual([status, 'no-signal']);
        globalThis.fetch = answering;
        await synchronize();
        await settled();
        expect([status, usePhone.getState().contact, usePhone.getState().kept]).toEqual([status, 'reached', []]);
        const there = works.server.records
          .peekAll('entries')
          .filter(({ content }) => dequal(content, { kind: 'note', text }));
        expect(there).toHaveLength(1);
      }
    },
  );

  it.each([
    ['what is looked up', () => httpLink.work(workId)],
    ['who is signed in', () => httpLink.session()],
    ['who may sign in', () => httpLink.about()],
    ['signing in', () => httpLink.signIn('Ann', 'secret')],
    ['signing out', () => httpLink.signOut()],
    ['devices', () => httpLink.sessions()],
    ['the log', () => httpLink.log('')],
    ['mails', () => httpLink.mails()],
    ['mails that could not be delivered', () => httpLink.undeliveredMails()],
    ['the calendar', () => httpLink.calendar()],
    ['a new calendar', () => httpLink.makeCalendar()],
    ['a label', () => httpLink.code('x')],
    ['what was not given', () => httpLink.missingOfMonth('corrective')],
    ['a past', () => httpLink.past({ scope: 'place', id: 'x' } as never)],
  ])('counts as none of %s', async (_, ask) => {
    for (const [what, text] of [
      ['page', page],
      ['portal', foreign['the JSON of a portal']?.('') ?? ''],
      ['null', 'null'],
      ['list', '[]'],
    ]) {
      globalThis.fetch = () => Promise.resolve(answer(200, text ?? ''));
      const failure = await Promise.resolve(ask()).then(
        () => null,
        (error: unknown) => error,
      );
      expect([what, failure instanceof Unreachable]).toEqual([what, true]);
    }
  });
});
