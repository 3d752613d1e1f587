import { ann, aPerson, put, smallWorks } from '@oilcan/core/testing';
import { asId, type PersonId } from '@oilcan/core';
import { PASSWORD, startTestServer, type TestServer } from '../testing/test-server';

let works: TestServer;
beforeAll(async () => {
  works = await startTestServer(smallWorks(), { freePasswordTries: 3, demoPassword: PASSWORD });
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

  it('stops after a few wrong tries for one name, even at once, and lets others in', async () => {
    const tries = await Promise.all(Array.from({ length: 6 }, () => signIn('Lea', 'guess')));
    expect(tries.map((answer) => answer.statusCode).sort()).toEqual([401, 401, 401, 429, 429, 429]);
    expect((await signIn('Lea', PASSWORD)).statusCode).toBe(429);
    expect((await signIn('Ann', PASSWORD)).statusCode).toBe(200);
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
