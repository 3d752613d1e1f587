import { RateLimiterMemory } from 'rate-limiter-flexible';
import { Readable } from 'node:stream';
import { ann, anOperation, aPerson, lea, put, smallWorks } from '@oilcan/core/testing';
import { asId, instantFromMillis, type PersonId } from '@oilcan/core/kernel';
import { deviceWords } from './device-words';
import { WrongPasswords } from './wrong-passwords';
import { FileStore } from '../files/file-store';
import { loadRows } from '../load/load';
import { codesOf, PASSWORD, startTestServer, type TestServer } from '../testing/test-server';
import { PRESENT } from '../testing/test-clock';

let works: TestServer;
beforeAll(async () => {
  works = await startTestServer(
    [...smallWorks(), put('people', aPerson({ id: asId<PersonId>('cleo'), name: 'Cleo' }))],
    {
      freePasswordTries: 3,
      demoPassword: PASSWORD,
    },
  );
});
afterAll(() => works.close());

const signIn = (name: unknown, password: unknown) =>
  works.ask(null, { method: 'POST', url: '/api/session', payload: { name, password } as never });

describe('signing in', () => {
  it('gives a cookie that scripts and other sites cannot use', async () => {
    const answer = await signIn('  ANN ', PASSWORD);
    expect(answer.json()).toMatchObject({ person: { id: ann.id, name: 'Ann' } });
    expect(answer.cookies[0]).toMatchObject({ httpOnly: true, sameSite: 'Strict', path: '/' });
  });

  it('keeps only a digest of the token, and a memory-hard hash of the password', async () => {
    const token = (await works.signIn(ann)).split('=')[1];
    expect(await works.database('sessions').where('token_hash', token)).toEqual([]);
    const account: { password_hash: string } = await works.database('accounts').where('person', ann.id).first();
    expect(account.password_hash).toMatch(/^\$argon2id\$v=19\$m=19456,t=2,p=1\$/);
  });

  it('answers a wrong password and an unknown name alike', async () => {
    const [wrong, unknown] = [await signIn('Bob', 'guess'), await signIn('Nobody', 'guess')];
    expect([wrong.statusCode, unknown.statusCode]).toEqual([401, 401]);
    const { instance: _, ...said } = wrong.json<Record<string, unknown>>();
    expect(unknown.json()).toMatchObject(said);
  });

  it('makes ever longer waits for wrong tries at one name from one address, even at once, and lets others in', async () => {
    const tries = await Promise.all(Array.from({ length: 6 }, () => signIn('Lea', 'guess')));
    expect(tries.map((answer) => answer.statusCode).sort()).toEqual([401, 401, 401, 429, 429, 429]);
    const waiting = await signIn('Lea', PASSWORD);
    expect(waiting.statusCode).toBe(429);
    // Whichever of the three that came too many began the wait.
    expect(['1', '2', '4']).toContain(waiting.headers['retry-after']);
    expect((await signIn('Ann', PASSWORD)).statusCode).toBe(200);
  });

  it('can be done by the form of the page: it leads on with a session, or back with what was wrong', async () => {
    const form = (fields: Record<string, string>, origin = 'https://oilcan.example') =>
      works.ask(null, {
        method: 'POST',
        url: '/api/session/form',
        headers: { 'content-type': 'application/x-www-form-urlencoded', host: 'oilcan.example', origin },
        payload: new URLSearchParams(fields).toString(),
      });
    const right = await form({ name: 'Cleo', password: PASSWORD });
    expect([right.statusCode, right.headers.location, right.cookies[0]?.httpOnly]).toEqual([
      303,
      '/?signed-in=form',
      true,
    ]);
    for (const [fields, back] of [
      [{ name: 'Cleo & Co', password: 'guess' }, 'refused=wrong_name_or_password&name=Cleo+%26+Co'],
      [{ name: 'Cleo' }, 'refused=wrong_name_or_password'],
    ] as const) {
      const wrong = await form(fields);
      expect([wrong.statusCode, wrong.headers.location, wrong.cookies]).toEqual([303, `/sign-in?${back}`, []]);
    }
    expect((await form({ name: 'Cleo', password: PASSWORD }, 'https://elsewhere.example')).statusCode).toBe(403);
    expect((await form({ name: 'Cleo', password: PASSWORD }, 'null')).statusCode).toBe(403);
  });

  it('does not lock anybody out who is asked for from somewhere else', async () => {
    for (let count = 0; count < 6; count += 1) await signIn('Bob', 'guess');
    const elsewhere = await works.ask(null, {
      method: 'POST',
      url: '/api/session',
      payload: { name: 'Bob', password: PASSWORD },
      remoteAddress: '192.0.2.7',
    });
    expect(elsewhere.statusCode).toBe(200);
  });

  it('names the demo’s people only where it serves a demo', async () => {
    const about = await works.ask(null, { url: '/api/about' });
    expect(about.json()).toMatchObject({ demo: { password: PASSWORD } });
    const serious = await startTestServer([]);
    expect((await serious.ask(null, { url: '/api/about' })).json()).toMatchObject({ demo: null });
    await serious.close();
  });
});

describe('a session', () => {
  it('ends when its person signs out', async () => {
    const cookie = await works.signIn(ann);
    expect((await works.ask(cookie, { url: '/api/session' })).json()).toMatchObject({ person: { id: ann.id } });
    await works.ask(cookie, { method: 'DELETE', url: '/api/session' });
    const after = await works.ask(cookie, { url: '/api/session' });
    expect([after.statusCode, after.json<{ code: string }>().code]).toEqual([401, 'session_expired']);
  });

  it('counts from its last use', async () => {
    const cookie = await works.signIn(ann);
    const days = (count: number) => instantFromMillis(PRESENT + count * 24 * 3_600_000);
    await works.database('sessions').update({ expires_at: days(1), last_used_at: days(-29) });
    const renewed = await works.ask(cookie, { url: '/api/sync?since=0&protocol=8' });
    expect([renewed.statusCode, renewed.cookies[0]?.maxAge]).toEqual([200, 30 * 24 * 3_600]);
    const [kept]: { expires_at: string }[] = await works
      .database('sessions')
      .where('last_used_at', '>', days(-1))
      .select('expires_at');
    expect(kept?.expires_at !== undefined && kept.expires_at > days(29)).toBe(true);
  });

  const cleo = aPerson({ id: asId<PersonId>('cleo'), name: 'Cleo' });

  it('is listed for its person alone, by device, and is ended from another', async () => {
    const [phone, desk, others] = [await works.signIn(ann), await works.signIn(ann), await works.signIn(cleo)];
    const list = async (cookie: string) =>
      (await works.ask(cookie, { url: '/api/sessions' })).json<{ sessions: { id: string }[]; present: string }>();
    const [ofPhone, ofDesk, ofBob] = [await list(phone), await list(desk), await list(others)];
    expect(ofPhone.sessions.map(({ id }) => id)).toEqual(expect.arrayContaining([ofPhone.present, ofDesk.present]));
    expect(ofBob.sessions.some(({ id }) => id === ofPhone.present)).toBe(false);
    const end = (cookie: string, id: string) =>
      works.ask(cookie, { method: 'DELETE', url: `/api/sessions/${id}` }).then(({ statusCode }) => statusCode);
    expect(await end(others, ofPhone.present)).toBe(404);
    expect(await end(desk, ofPhone.present)).toBe(204);
    expect((await works.ask(phone, { url: '/api/session' })).statusCode).toBe(401);
    expect((await works.ask(desk, { url: '/api/session' })).statusCode).toBe(200);
  });

  it('ends with its news when the password is changed elsewhere', async () => {
    const other = await startTestServer([...smallWorks(), put('people', cleo)]);
    const [here, there] = [await other.signIn(cleo), await other.signIn(cleo)];
    const address = await other.server.listen({ port: 0, host: '127.0.0.1' });
    const events = await fetch(`${address}/api/news`, { headers: { cookie: there } });
    const change = (present: string, next: string) =>
      other.ask(here, { method: 'PUT', url: '/api/password', payload: { present, next } });
    expect((await change('wrong', 'correct horses')).json()).toMatchObject({
      code: 'wrong_password',
      field: 'present',
    });
    expect((await change(PASSWORD, 'short')).json()).toMatchObject({ code: 'invalid', field: 'next' });
    expect((await change(PASSWORD, 'correct horses')).statusCode).toBe(204);
    // The stream ends: nothing more comes, and it says so.
    const reader = events.body?.getReader();
    let isOver = false;
    while (!isOver) isOver = (await reader?.read())?.done ?? true;
    expect((await other.ask(there, { url: '/api/session' })).statusCode).toBe(401);
    expect((await other.ask(here, { url: '/api/session' })).statusCode).toBe(200);
    const signInAs = (password: string) =>
      other.ask(null, { method: 'POST', url: '/api/session', payload: { name: 'Cleo', password } });
    expect([(await signInAs(PASSWORD)).statusCode, (await signInAs('correct horses')).statusCode]).toEqual([401, 200]);
    await other.close();
  });

  it('ends with the link of the calendar when a password is set anew by loading, or changed', async () => {
    const other = await startTestServer([...smallWorks(), put('people', cleo)]);
    const cookie = await other.signIn(cleo);
    const link = async () =>
      (await other.ask(cookie, { method: 'POST', url: '/api/calendar' })).json<{ path: string }>().path;
    const first = await link();
    const payload = { present: PASSWORD, next: 'correct horses' };
    expect((await other.ask(cookie, { method: 'PUT', url: '/api/password', payload })).statusCode).toBe(204);
    expect((await other.ask(null, { url: first })).statusCode).toBe(404);
    const second = await link();
    const line = JSON.stringify({ account: { person: cleo.id, name: cleo.name, password: 'another horse' } });
    await loadRows(other.database, Readable.from([`${line}\n`]), {
      files: new FileStore(other.filesRoot),
      clock: other.clock.look,
    });
    expect((await other.ask(cookie, { url: '/api/session' })).statusCode).toBe(401);
    expect((await other.ask(null, { url: second })).statusCode).toBe(404);
    await other.close();
  });

  it('ends with the account of somebody who left, and whoever has no site or role sees nothing', async () => {
    const noRole = aPerson({ id: asId<PersonId>('norole'), name: 'No role', roles: [] });
    const noSite = aPerson({ id: asId<PersonId>('nosite'), name: 'No site', siteIds: [] });
    const people = [cleo, noRole, noSite].map((person) => put('people', person));
    const other = await startTestServer([...smallWorks(), ...people]);
    for (const person of [noRole, noSite]) expect((await other.pull(await other.signIn(person))).changes).toEqual([]);
    const [cleos, leas] = [await other.signIn(cleo), await other.signIn(lea)];
    const leave = (by: PersonId) => anOperation('person.leave', { personId: cleo.id }, { by });
    expect(codesOf(await other.push(cleos, [leave(cleo.id)]))).toEqual(['role_missing']);
    expect(codesOf(await other.push(leas, [leave(lea.id)]))).toEqual(['accepted']);
    expect((await other.ask(cleos, { url: '/api/session' })).statusCode).toBe(401);
    const again = { method: 'POST' as const, url: '/api/session', payload: { name: cleo.name, password: PASSWORD } };
    expect((await other.ask(null, again)).statusCode).toBe(401);
    // What they did keeps their name.
    const left = (await other.pull(leas)).changes.find(({ id }) => id === cleo.id);
    expect(left).toMatchObject({ row: { name: 'Cleo', roles: [] } });
    await other.close();
  });

  it('ends by itself', async () => {
    const cookie = await works.signIn(ann);
    await works.database('sessions').update({ expires_at: '2020-01-01T00:00:00.000Z' });
    expect((await works.ask(cookie, { url: '/api/sync?since=0&protocol=2' })).json()).toMatchObject({
      code: 'session_expired',
    });
  });

  it('of somebody who left is over', async () => {
    const guest = aPerson({ id: asId<PersonId>('guest'), name: 'Guest' });
    const other = await startTestServer([...smallWorks(), put('people', guest)]);
    const cookie = await other.signIn(guest);
    await other.database('people').where('id', guest.id).delete();
    expect((await other.ask(cookie, { url: '/api/session' })).statusCode).toBe(401);
    await other.close();
  });
});

describe('wrong passwords', () => {
  it('of one person lock out nobody else at the same address', async () => {
    const wrong = new WrongPasswords({ freeTries: 5, triesPerAddress: 20 }, (bounds) => new RateLimiterMemory(bounds));
    for (let tried = 0; tried < 200; tried += 1) await wrong.begin('works', 'ann').catch(() => undefined);
    await expect(wrong.begin('works', 'bob')).resolves.toBeUndefined();
  });

  it('wait twice as long each time, up to five minutes', async () => {
    jest.useFakeTimers({ now: PRESENT });
    const wrong = new WrongPasswords(
      { freeTries: 2, triesPerAddress: 1_000 },
      (bounds) => new RateLimiterMemory(bounds),
    );
    const waits: number[] = [];
    for (let count = 0; count < 12; count += 1) {
      const seconds = await wrong.begin('here', 'ann').then(
        () => 0,
        (error: { values: { seconds: number } }) => error.values.seconds,
      );
      waits.push(seconds);
      jest.advanceTimersByTime(seconds * 1_000 + 1);
    }
    expect(waits).toEqual([0, 0, 1, 0, 2, 0, 4, 0, 8, 0, 16, 0]);
    jest.useRealTimers();
  });

  it('from one address are bounded over all names, and right ones cost nothing', async () => {
    const wrong = new WrongPasswords({ freeTries: 5, triesPerAddress: 3 }, (bounds) => new RateLimiterMemory(bounds));
    for (const name of ['a', 'b', 'c']) await wrong.begin('here', name);
    await expect(wrong.begin('here', 'd')).rejects.toMatchObject({ code: 'too_many_requests' });
    await expect(wrong.begin('there', 'd')).resolves.toBeUndefined();
    const right = new WrongPasswords({ freeTries: 5, triesPerAddress: 3 }, (bounds) => new RateLimiterMemory(bounds));
    for (let count = 0; count < 9; count += 1) {
      await right.begin('here', 'ann');
      await right.right('here', 'ann');
    }
  });
});

describe('a device', () => {
  it.each([
    [
      'Mozilla/5.0 (Linux; Android 14) AppleWebKit/537.36 (KHTML, like Gecko) Chrome/126.0 Mobile Safari/537.36',
      'Chrome on Android',
    ],
    [
      'Mozilla/5.0 (iPhone; CPU iPhone OS 17_5 like Mac OS X) AppleWebKit/605.1.15 Version/17.5 Safari/604.1',
      'Safari on iPhone',
    ],
    ['Mozilla/5.0 (X11; Linux x86_64; rv:128.0) Gecko/20100101 Firefox/128.0', 'Firefox on Linux'],
    ['curl/8', 'Unknown device'],
    [undefined, 'Unknown device'],
  ])('is called as its person would: %s', (userAgent, words) => {
    expect(deviceWords(userAgent)).toBe(words);
  });
});
