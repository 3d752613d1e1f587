import { readdir, readFile } from 'node:fs/promises';
import { join } from 'node:path';
import { instantFromMillis, localDate, toMillis } from '@oilcan/core/kernel';
import { labelKeyFrom } from '@oilcan/core/raising/labels';
import type { Change } from '@oilcan/core/records';
import type { Report } from '@oilcan/core/raising/reports';
import {
  anAsset,
  anOperation,
  aRaise,
  aReport,
  aReportLabel,
  ann,
  lea,
  notedJpeg,
  put,
  smallWorks,
  somePlace,
  someRules,
  workId,
} from '@oilcan/core/testing';
import { imageSize } from 'image-size';
import { codesOf, startTestServer, type TestServer } from '../testing/test-server';
import { forgetGuests } from './forget-guests';
import { guestBrowser, onePixel, type Parts } from '../testing/guest-browser';

const { id: key } = aReportLabel();
const rules = someRules({ takesGuests: true, publicKnowledge: 'titles' });

let works: TestServer;
const begin = async (
  more: readonly Change[] = [],
  config: Parameters<typeof startTestServer>[1] = {},
): Promise<void> => {
  await works?.close();
  const rows = [
    ...smallWorks({ title: 'Output seal weeps oil' }),
    put('places', somePlace),
    put('reportLabels', aReportLabel()),
    put('raiseRules', rules),
    ...more,
  ];
  works = await startTestServer(rows, { guestPostsPerAddress: 1_000, guestPostsPerLabel: 1_000, ...config });
};
beforeEach(() => begin());
afterAll(() => works.close());

const { send, report, reports, newPost, get, followOf } = guestBrowser(() => works);
const asScript = { accept: 'application/json' };

describe('the page of a label', () => {
  it('names the machine and what is known there, and nothing of people or other machines', async () => {
    const { statusCode, body, headers } = await get(`/r/${key}`);
    expect(statusCode).toBe(200);
    expect(body).toContain(anAsset().name);
    expect(body).toContain('Output seal weeps oil');
    for (const { name } of [ann, lea]) expect(body).not.toContain(name);
    expect(headers).toMatchObject({
      'x-robots-tag': 'noindex, nofollow',
      // With none a browser says that its form comes from nowhere, and is refused.
      'referrer-policy': 'same-origin',
      'cache-control': 'no-store',
    });
    expect(headers['content-security-policy']).toMatch(/default-src 'none'.*script-src 'self'/);
  });

  it('tells nothing where the site tells outsiders nothing, and asks only what its lead wants', async () => {
    const asked = { ...rules.asked, problem: { danger: 'must' } } as const;
    await begin([put('raiseRules', { ...rules, publicKnowledge: 'nothing', asked })]);
    const { body } = await get(`/r/${key}`);
    expect(body).not.toContain('Output seal');
    expect(body).toContain('Is somebody in danger?');
    for (const left of ['Does it still run?', 'type="file"', 'How can you be reached?'])
      expect(body).not.toContain(left);
  });

  it('leads those who work there into the application', async () => {
    const answer = await get(`/r/${key.toLowerCase()}`, await works.signIn(ann));
    expect([answer.statusCode, answer.headers.location]).toEqual([302, `/code/REPORT%3A${key}`]);
  });

  it.each<[string, () => Promise<void>, string, number]>([
    ['a label that never was', () => begin(), labelKeyFrom(new Uint8Array(20)), 404],
    ['half of a label', () => begin(), key.slice(0, 9), 404],
    ['a tag in the place of a key', () => begin(), anAsset().tag, 404],
    ['a script in the place of a key', () => begin(), '%3Cscript%3Ealert(1)%3C%2Fscript%3E', 404],
    [
      'a label that was withdrawn',
      () => begin([put('reportLabels', aReportLabel({ withdrawn: { by: lea.id, at: instantFromMillis(0) } }))]),
      key,
      410,
    ],
    ['a site that takes no such reports', () => begin([put('raiseRules', someRules())]), key, 410],
    [
      'a machine that was retired',
      () => begin([put('assets', anAsset({ retiredOn: localDate(instantFromMillis(0), 'UTC') }))]),
      key,
      410,
    ],
  ])('of %s is none: one sentence, and nothing of the machine', async (_, given, wrong, status) => {
    await given();
    const answers = [
      await get(`/r/${wrong}`),
      await send(`/r/${wrong}`, { words: 'x' }),
      await send(`/r/${wrong}/me-too`, { work: workId }),
    ];
    for (const { statusCode, body } of answers) {
      expect(statusCode).toBe(status);
      expect(body).not.toContain(anAsset().name);
      expect(body).not.toContain('alert(1)');
    }
    expect(await reports()).toEqual([]);
  });
});

describe('a report without an account', () => {
  it('is numbered, stands with its machine, and leads to a page of its own', async () => {
    const follow = await report({
      condition: 'stopped',
      danger: 'yes',
      name: 'Eva',
      reach: '0664 1234',
      photo: onePixel,
    });
    const [kept] = await reports();
    expect(kept).toMatchObject({
      number: 'P-1',
      assetId: anAsset().id,
      words: 'It squeaks',
      urgency: 'now',
      by: null,
      guest: { name: 'Eva', reach: '0664 1234' },
      photo: { mediaType: 'image/png', width: 1, height: 1 },
    });
    const { statusCode, body } = await get(follow);
    expect(statusCode).toBe(200);
    expect(body).toContain('P-1');
    expect(body).toContain('It squeaks');
    expect(body).not.toContain('0664 1234');
  });

  it('is told to the leads, and its photo is seen by the staff alone', async () => {
    await report({ photo: onePixel });
    const lead = await works.signIn(lea);
    const { changes } = await works.pull(lead);
    expect(changes.flatMap(({ table, row }) => (table === 'notices' ? [row] : []))).toMatchObject([
      { kind: 'reported', number: 'P-1', workOrderId: null },
    ]);
    const [kept] = await reports();
    const photo = `/api/files/${kept?.photo?.fileId ?? ''}`;
    expect((await get(photo, lead)).statusCode).toBe(200);
    expect((await get(photo)).statusCode).toBe(401);
  });

  it('keeps nothing that the camera wrote, and stays turned as it was', async () => {
    await report({ photo: Buffer.from(notedJpeg(6)) });
    const [made] = await reports();
    const kept = await works.ask(await works.signIn(lea), { url: `/api/files/${made?.photo?.fileId ?? ''}` });
    expect(kept.statusCode).toBe(200);
    expect(kept.rawPayload.toString('latin1')).not.toMatch(/47\.2N|Eva|telephone|film/);
    expect(imageSize(kept.rawPayload)).toMatchObject({ width: 8, height: 4, orientation: 6 });
  });

  it('that arrives twice, or four times at once, is there once, and leads to the same page', async () => {
    const post = newPost();
    const answers = await Promise.all([1, 2, 3, 4].map(() => send(`/r/${key}`, { post, words: 'It squeaks' })));
    answers.push(await send(`/r/${key}`, { post, words: 'It squeaks' }));
    expect(new Set(answers.map(followOf)).size).toBe(1);
    expect(await reports()).toHaveLength(1);
  });

  it('answers a script in JSON', async () => {
    const answer = await send(`/r/${key}`, { words: 'It squeaks' }, asScript);
    expect([answer.statusCode, answer.json()]).toMatchObject([201, { number: 'P-1' }]);
    const refused = await send(`/r/${key}`, { words: ' ' }, asScript);
    expect([refused.statusCode, refused.json()]).toEqual([400, { sentence: 'Write something first.' }]);
  });

  const scripts = '<script>alert(1)</script>"\'><img src=x onerror=alert(1)>';
  it('with scripts in every field stands there as text', async () => {
    const follow = await report({ words: scripts, name: scripts, reach: scripts });
    const { body } = await get(follow);
    expect(body).not.toContain('<script>alert');
    expect(body).not.toContain('<img src=x');
    expect(body).toContain('&lt;script&gt;alert(1)');
  });

  const tooMuch = Buffer.concat([onePixel, Buffer.alloc(13 * 1024 * 1024)]);
  it.each<[string, Parts, number]>([
    ['without words', { words: '  ' }, 400],
    ['with more words than a report holds', { words: 'x'.repeat(10_001) }, 400],
    ['with characters that nobody sees', { words: 'a\u202eb' }, 400],
    ['with a condition that is none', { condition: 'broken' }, 400],
    ['that begins tomorrow', { since: '2099-01-01T00:00' }, 400],
    ['with a time that is none', { since: 'yesterday' }, 400],
    ['with a photo larger than is taken', { photo: tooMuch }, 413],
    ['with a picture that is none', { photo: Buffer.from('<svg onload="alert(1)">') }, 415],
    ['with a PDF', { photo: Buffer.from('%PDF-1.7 not a picture') }, 415],
    ['with what only begins like a picture', { photo: onePixel.subarray(0, 12) }, 415],
    ['under a name that is none', { post: 'x' }, 400],
  ])('%s is not taken, says why, and loses nothing that was typed', async (_, parts, status) => {
    const answer = await send(`/r/${key}`, { words: 'It squeaks', ...parts });
    expect(answer.statusCode).toBe(status);
    expect(answer.body).toContain('role="alert"');
    expect(await reports()).toEqual([]);
    expect(await works.database('files').select()).toEqual([]);
    if (!('words' in parts)) expect(answer.body).toContain('It squeaks');
  });

  it('that is no form is refused', async () => {
    const answer = await works.ask(null, { method: 'POST', url: `/r/${key}`, payload: { words: 'x' } });
    expect(answer.statusCode).toBe(400);
  });

  it('is taken without a script, from a page that does not say from where it sends', async () => {
    const origin = { origin: 'null' };
    const answer = await send(`/r/${key}`, { words: 'It squeaks' }, origin);
    expect(answer.statusCode).toBe(303);
    expect((await send(followOf(answer), { words: 'Louder now' }, origin)).statusCode).toBe(303);
    expect((await send(`/r/${key}/me-too`, { work: workId }, origin)).statusCode).toBe(303);
    // Whoever is signed in is asked from where all the same.
    const cookie = await works.signIn(lea);
    const elsewhere = { method: 'POST' as const, url: '/api/operations', payload: {}, headers: origin };
    expect((await works.ask(cookie, elsewhere)).json()).toMatchObject({ code: 'foreign_origin' });
  });

  it.each([
    ['without an end', '--between-the-parts\r\ncontent-disposition: form-data; name="words"\r\n\r\nIt squ'],
    ['with a head that is none', '--between-the-parts\r\n\u0000\u0001: x\r\n\r\nx\r\n--between-the-parts--\r\n'],
    ['without a part', '--between-the-parts--'],
    ['with nothing in it', ''],
  ])('as a form %s is refused in a sentence', async (_, payload) => {
    const headers = { 'content-type': 'multipart/form-data; boundary=between-the-parts' };
    const answer = await works.ask(null, { method: 'POST', url: `/r/${key}`, payload, headers });
    expect(answer.statusCode).toBe(400);
    expect(answer.body).toContain('role="alert"');
    const unbounded = { 'content-type': 'multipart/form-data' };
    expect((await works.ask(null, { method: 'POST', url: `/r/${key}`, payload, headers: unbounded })).statusCode).toBe(
      400,
    );
  });

  it('writes no photo down before its words, its name and its label are looked at', async () => {
    const written = async (): Promise<string[]> =>
      (await readdir(works.filesRoot, { recursive: true })).filter((name) => /\.part$|[0-9a-f]{64}$/.test(name));
    await send(`/r/${key}`, { words: ' ', photo: onePixel });
    await send('/r/AAAAAAAAAAAAAAAAAAAA', { words: 'It squeaks', photo: onePixel });
    const post = newPost();
    await send(`/r/${key}`, { post, words: 'It squeaks' });
    await send(`/r/${key}`, { post, words: 'It squeaks', photo: onePixel });
    expect(await written()).toEqual([]);
  });

  it('takes no picture that nobody can draw, whatever its sides are', async () => {
    const head = Buffer.from(onePixel);
    head.writeUInt32BE(20_000, 16);
    head.writeUInt32BE(20_000, 20);
    expect((await send(`/r/${key}`, { words: 'It squeaks', photo: head })).statusCode).toBe(415);
    expect(await works.database('files').select()).toEqual([]);
  });

  it('has a name and an address of one line', async () => {
    const answer = await send(`/r/${key}`, { words: 'It squeaks', name: 'Eva\nBcc: everybody@example.org' });
    expect([answer.statusCode, answer.body.includes('one line')]).toEqual([400, true]);
  });

  it('“me too” joins what is public, and nothing else', async () => {
    const joined = await send(`/r/${key}/me-too`, { work: workId });
    expect(joined.statusCode).toBe(303);
    expect(await reports()).toMatchObject([{ state: 'taken', workOrderId: workId, words: 'Output seal weeps oil' }]);
    expect((await send(`/r/${key}/me-too`, { work: 'w-2' })).statusCode).toBe(404);
    await begin([put('raiseRules', { ...rules, publicKnowledge: 'nothing' })]);
    expect((await send(`/r/${key}/me-too`, { work: workId })).statusCode).toBe(404);
  });
});

describe('the private page of a report', () => {
  it('tells what becomes of it until it is solved, without names', async () => {
    const follow = await report();
    const lead = await works.signIn(lea);
    const [kept] = await reports();
    const reportId = kept?.id;
    if (reportId === undefined) throw new Error('There is no report.');
    const device = { by: lea.id };
    await works.push(lead, [anOperation('report.ask', { reportId, words: 'Which side?' }, device)]);
    expect((await get(follow)).body).toContain('Which side?');
    expect((await send(follow, { words: 'The left one' })).statusCode).toBe(303);
    const raise = anOperation('work.raise', aRaise({ kind: 'improvement', reportIds: [reportId] }), device);
    const doing = { workOrderId: raise.id as never };
    const done = [raise, anOperation('work.start', doing, device), anOperation('work.finish', doing, device)];
    expect(codesOf(await works.push(lead, done))).toEqual(['accepted', 'accepted', 'accepted']);
    const { body } = await get(follow);
    expect(body).toContain('Solved.');
    expect(body).toContain('The left one');
    expect(body).not.toContain(lea.name);
    expect(body).not.toContain('<form');
    expect((await send(follow, { words: 'Thanks' })).statusCode).toBe(409);
  });

  it.each<[string, (follow: string) => string]>([
    ['with another signature', (follow) => `${follow.slice(0, -1)}${follow.endsWith('A') ? 'B' : 'A'}`],
    ['of another report', (follow) => follow.replace(/follow\/[^.]+/, 'follow/00000000-0000-4000-8000-000000000000')],
    ['without a signature', (follow) => follow.replace(/\..*$/, '')],
    ['with more behind it', (follow) => `${follow}.x`],
    ['of nothing', () => '/r/follow/x'],
  ])('is shown under no link %s', async (_, changed) => {
    const wrong = changed(await report());
    const answers = [await get(wrong), await send(wrong, { words: 'Hello' })];
    for (const { statusCode, body } of answers) {
      expect(statusCode).toBe(404);
      expect(body).not.toContain('It squeaks');
    }
  });

  it('is of those without an account alone', async () => {
    await begin([put('reports', aReport())]);
    const follow = await report();
    const token = follow.split('/').at(-1) ?? '';
    expect(token.startsWith(aReport().id)).toBe(false);
    expect((await get(`/r/follow/${aReport().id}.${token.split('.')[1] ?? ''}`)).statusCode).toBe(404);
  });

  it('takes a word that arrives twice once, and no more than twenty', async () => {
    const follow = await report();
    const post = newPost();
    await send(follow, { post, words: 'again' });
    await send(follow, { post, words: 'again' });
    for (let said = 1; said < 20; said += 1) await send(follow, { words: `more ${said}` });
    const full = await send(follow, { words: 'once more' });
    expect(full.statusCode).toBe(409);
    expect((await reports())[0]?.events).toHaveLength(20);
  });
});

describe('who reported without an account', () => {
  it('is forgotten 90 days after the report ended, and is in no log; the report stays', async () => {
    const page = await report({ name: 'Edda', reach: '0664 1234' });
    const [made] = await reports();
    if (made === undefined) throw new Error('There is no report.');
    const decline = { reportId: made.id, reason: 'It is not ours' };
    await works.push(await works.signIn(lea), [anOperation('report.decline', decline, { by: lea.id })]);
    const ended = toMillis((await reports())[0]?.endedAt ?? made.at);
    const after = async (days: number): Promise<Report | undefined> => {
      await forgetGuests(works.database, ended + days * 24 * 3_600_000);
      return (await reports())[0];
    };
    expect((await after(89))?.guest).toEqual({ name: 'Edda', reach: '0664 1234' });
    expect(await after(91)).toMatchObject({ words: 'It squeaks', state: 'declined', guest: { name: '', reach: '' } });
    expect((await get(page)).statusCode).toBe(200);
    const log: unknown[] = await works.database('operations').select();
    expect(JSON.stringify(log)).not.toMatch(/Edda|0664 1234/);
  });
});

describe('people without an account are bounded', () => {
  it('by their address: a thousand reports a minute are not taken', async () => {
    await begin([], { guestPostsPerAddress: 5 });
    const answers = [];
    for (let sent = 0; sent < 12; sent += 1) answers.push(await send(`/r/${key}`, { words: `${sent}` }, asScript));
    expect(answers.map(({ statusCode }) => statusCode)).toEqual([...Array(5).fill(201), ...Array(7).fill(429)]);
    expect(answers.at(-1)?.headers['retry-after']).toBeDefined();
    expect(await reports()).toHaveLength(5);
  });

  it('and told so on a page that keeps their words, while no photo of theirs is written down', async () => {
    await begin([], { guestPostsPerAddress: 1 });
    await report();
    const answer = await send(`/r/${key}`, { words: 'It drips as well', photo: onePixel });
    expect([answer.statusCode, answer.headers['content-type']]).toEqual([429, 'text/html; charset=utf-8']);
    expect(answer.body).toContain('It drips as well');
    expect(await works.database('files').select()).toEqual([]);
  });

  it('by their label', async () => {
    await begin([], { guestPostsPerLabel: 2 });
    const codes = [];
    for (let sent = 0; sent < 3; sent += 1)
      codes.push((await send(`/r/${key}`, { words: `${sent}` }, asScript)).statusCode);
    expect(codes).toEqual([201, 201, 429]);
  });

  it('where they try labels and links that lead nowhere', async () => {
    for (let tried = 0; tried < 30; tried += 1) await get(`/r/follow/guess-${tried}.x`);
    expect((await get('/r/follow/guess.x')).statusCode).toBe(429);
    expect((await get(`/r/${key}`)).statusCode).toBe(429);
  });
});

it('keeps out search engines', async () => {
  expect((await get('/robots.txt')).body).toMatch(/Disallow: \//);
});

it('has its photo kept as it came', async () => {
  await report({ photo: onePixel });
  const [kept] = await reports();
  const id = kept?.photo?.fileId ?? '';
  expect(await readFile(join(works.filesRoot, id.slice(0, 2), id))).toEqual(onePixel);
});
