import { mkdir, mkdtemp, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { ann } from '@oilcan/core/testing';
import { isOnPostgres } from '../testing/fresh-database';
import { startTestServer, type TestServer } from '../testing/test-server';

let folder: string;
let works: TestServer;
beforeAll(async () => {
  folder = await mkdtemp(join(tmpdir(), 'oilcan-web-'));
  await mkdir(join(folder, '_expo/static/js'), { recursive: true });
  await writeFile(join(folder, 'index.html'), '<!doctype html><title>Oilcan</title><!--sign-in-->');
  await writeFile(join(folder, '_expo/static/js/entry-0a1b2c3d.js'), 'void 0;');
  await writeFile(join(folder, 'service-worker.js'), 'void 0;');
  works = await startTestServer(undefined, { webRoot: folder });
});
afterAll(async () => {
  await works.close();
  await rm(folder, { recursive: true, force: true });
});

describe('the application’s files', () => {
  it.each([
    ['/_expo/static/js/entry-0a1b2c3d.js', 'public, max-age=31536000, immutable'],
    ['/service-worker.js', 'no-cache'],
    ['/shift', 'no-cache'],
  ])('%s are kept by browsers as their names allow: %s', async (url, expected) => {
    const answer = await works.ask(null, { url });
    expect([answer.statusCode, answer.headers['cache-control']]).toEqual([200, expected]);
  });
});

describe('the page that is painted before any script', () => {
  const page = async (server: TestServer, url: string, cookie: string | null = null): Promise<string> =>
    (await server.ask(cookie, { url })).body;

  it('has a form to sign in for who has no session, and none for others', async () => {
    const answer = await works.ask(null, { url: '/shift' });
    expect(answer.body).toMatch(/<form id="sign-in" method="post" action="\/api\/session\/form">/);
    // Without a referrer a browser would say of the form that it comes from nowhere, and it would be refused.
    expect(answer.headers['referrer-policy']).toBe('same-origin');
    expect(await page(works, '/shift', await works.signIn(ann))).not.toContain('<form');
  });

  it('names the people of a demo, each a press, and nobody elsewhere', async () => {
    const demo = await startTestServer(undefined, { webRoot: folder, demoPassword: 'a<b' });
    expect(await page(demo, '/sign-in')).toMatch(/This server shows a demo.*“a&lt;b”.*name="name" value="Ann"/s);
    await demo.close();
    expect(await page(works, '/sign-in')).not.toMatch(/Ann|demo/);
  });

  it('says what was refused and keeps the name, as text whatever stands in the address', async () => {
    const body = await page(works, '/sign-in?refused=wrong_name_or_password&name=%22%3E%3Cscript%3E');
    expect(body).toContain('Name and password do not fit together.');
    expect(body).toContain('value="&quot;&gt;&lt;script&gt;"');
    expect(await page(works, '/sign-in?refused=too_many_requests&seconds=7')).toContain('Wait 7 seconds');
    expect(await page(works, '/sign-in?refused=constructor&seconds=x')).toContain('do not fit together');
  });
});

describe('whoever watches the server', () => {
  (isOnPostgres ? it.skip : it)(
    'hears that it is ready while it can write, and that it is not once it cannot',
    async () => {
      expect((await works.ask(null, { url: '/readyz' })).json()).toEqual({ status: 'ready' });
      await works.database.raw('PRAGMA query_only = ON');
      works.clock.pass(1_100);
      const answer = await works.ask(null, { url: '/readyz' });
      expect([answer.statusCode, answer.headers['retry-after']]).toEqual([503, '10']);
      await works.database.raw('PRAGMA query_only = OFF');
    },
  );
});
