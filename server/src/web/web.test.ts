import { mkdir, mkdtemp, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { ann } from '@oilcan/core/testing';
import { startTestServer, type TestServer } from '../testing/test-server';

let folder: string;
let works: TestServer;
beforeAll(async () => {
  folder = await mkdtemp(join(tmpdir(), 'oilcan-web-'));
  await mkdir(join(folder, '_expo/static/js'), { recursive: true });
  await writeFile(join(folder, 'index.html'), '<!doctype html><title>Oilcan</title><!--demo-->');
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
  it('says what a demo is to who comes to sign in, and nothing of it to others', async () => {
    const demo = await startTestServer(undefined, { webRoot: folder, demoPassword: 'a<b' });
    expect((await demo.ask(null, { url: '/sign-in' })).body).toMatch(/This server shows a demo.*“a&lt;b”/);
    expect((await demo.ask(await demo.signIn(ann), { url: '/shift' })).body).not.toContain('demo</h2>');
    await demo.close();
    expect((await works.ask(null, { url: '/sign-in' })).body).not.toContain('demo</h2>');
  });
});

describe('whoever watches the server', () => {
  it('hears that it is ready while it can write, and that it is not once it cannot', async () => {
    expect((await works.ask(null, { url: '/readyz' })).json()).toEqual({ status: 'ready' });
    await works.database.raw('PRAGMA query_only = ON');
    works.clock.pass(1_100);
    const answer = await works.ask(null, { url: '/readyz' });
    expect([answer.statusCode, answer.headers['retry-after']]).toEqual([503, '10']);
    await works.database.raw('PRAGMA query_only = OFF');
  });
});
