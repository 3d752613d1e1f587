import { createHash } from 'node:crypto';
import { readdir, rm, utimes } from 'node:fs/promises';
import { join } from 'node:path';
import { FILE_BYTES_LIMIT } from '@oilcan/core/plant/files';
import { asId, type FileId, type PersonId } from '@oilcan/core/kernel';
import { anOperation, ann, aPerson, bob, noon, otherSite, put, smallWorks, workId } from '@oilcan/core/testing';
import { SqlRecords } from '../database/sql-records';
import { codesOf, giveAccount, startTestServer, type TestServer } from '../testing/test-server';
import { FileStore } from './file-store';
import { noteFile } from './known-files';
import { PRESENT } from '../testing/test-clock';

const stranger = aPerson({ id: asId<PersonId>('sam'), name: 'Sam', siteIds: [otherSite] });
let works: TestServer;
let cookie: string;
beforeEach(async () => {
  works = await startTestServer([...smallWorks(), put('people', stranger)]);
  cookie = await works.signIn(ann);
});
afterEach(() => works.close());

/** A made-up file that begins as a JPEG does. */
const picture = (bytes: number): Buffer => Buffer.concat([Buffer.from([0xff, 0xd8, 0xff]), Buffer.alloc(bytes - 3, 7)]);
const nameOf = (file: Buffer): FileId => asId(createHash('sha256').update(file).digest('hex'));
const send = (id: string, piece: Buffer, from: number, total: number) =>
  works.ask(cookie, {
    method: 'PUT',
    url: `/api/files/${id}`,
    payload: piece,
    headers: {
      'content-type': 'application/octet-stream',
      'content-range': `bytes ${from}-${from + piece.length - 1}/${total}`,
    },
  });
const photo = (fileId: FileId) =>
  anOperation('photo.add', { workOrderId: workId, fileId, mediaType: 'image/jpeg', width: 4, height: 3, caption: '' });
const codeIn = (answer: { json: () => unknown }) => (answer.json() as { code: string }).code;

describe('a name of a file', () => {
  const file = picture(1_000);
  const id = nameOf(file);
  const bring = async (by: string, bytes: Buffer) => {
    const before = cookie;
    cookie = by;
    const answer = await send(id, bytes, 0, file.length);
    cookie = before;
    return answer;
  };

  it('opens nothing to somebody who has not brought it and may not see it', async () => {
    const far = await works.signIn(stranger);
    await bring(far, file);
    const receivedBy = async (who: string) =>
      (await works.ask(who, { url: `/api/files/${id}/received` })).json<{ received: number; isWhole: boolean }>();
    expect([await receivedBy(far), await receivedBy(cookie)]).toEqual([
      { received: 1_000, isWhole: true },
      { received: 0, isWhole: false },
    ]);
    // Naming it in a photo of one's own is not enough.
    expect(codesOf(await works.push(cookie, [photo(id)]))).toEqual(['file_missing']);
    expect((await works.ask(cookie, { url: `/api/files/${id}` })).statusCode).toBe(404);
    // Nor is a piece of it: whoever has it sends all of it.
    expect((await bring(cookie, file.subarray(0, 10))).json()).toEqual({ received: 10, isWhole: false });
    expect((await works.ask(cookie, { url: `/api/files/${id}` })).statusCode).toBe(404);
    expect((await send(id, file.subarray(10), 10, 1_000)).json()).toEqual({ received: 1_000, isWhole: true });
    expect(codesOf(await works.push(cookie, [photo(id)]))).toEqual(['accepted']);
  });

  it('may be used by whoever sees it in a record of their site already', async () => {
    await bring(cookie, file);
    await works.push(cookie, [photo(id)]);
    const bobs = await works.signIn(bob);
    expect((await works.ask(bobs, { url: `/api/files/${id}` })).statusCode).toBe(200);
    expect((await works.ask(await works.signIn(stranger), { url: `/api/files/${id}` })).statusCode).toBe(404);
  });

  it('whose file is gone is not found, and breaks nothing', async () => {
    await bring(cookie, file);
    await rm(join(works.filesRoot, id.slice(0, 2), id));
    expect((await works.ask(cookie, { url: `/api/files/${id}` })).statusCode).toBe(404);
  });

  it('of a drawing never gives what could run', async () => {
    const drawing = '<svg xmlns="http://www.w3.org/2000/svg"><script>alert(1)</script></svg>';
    const drawingId = nameOf(Buffer.from(drawing));
    await new FileStore(works.filesRoot).put(drawingId, Buffer.from(drawing));
    const noted = { id: drawingId, mediaType: 'image/svg+xml', bytes: drawing.length, receivedAt: noon };
    await noteFile(works.database, noted, ann.id);
    const { headers } = await works.ask(cookie, { url: `/api/files/${drawingId}` });
    expect(headers).toMatchObject({
      'content-disposition': 'attachment',
      'content-security-policy': "default-src 'none'; style-src 'unsafe-inline'; sandbox",
      'x-content-type-options': 'nosniff',
    });
  });
});

describe('unfinished files', () => {
  it('are bounded for each person, need a site and a role, and are tidied when they are old', async () => {
    const begin = (index: number) => send(nameOf(picture(500 + index)), picture(10), 0, 1_000);
    for (let index = 0; index < 40; index += 1) expect((await begin(index)).statusCode).toBe(200);
    expect(codeIn(await begin(40))).toBe('too_many_unfinished_files');
    const store = new FileStore(works.filesRoot);
    const parts = (await readdir(works.filesRoot, { recursive: true })).filter((name) => name.endsWith('.part'));
    for (const name of parts) await utimes(join(works.filesRoot, name), PRESENT / 1_000, PRESENT / 1_000);
    await store.tidy(PRESENT);
    expect(codeIn(await begin(40))).toBe('too_many_unfinished_files');
    await store.tidy(PRESENT + 15 * 24 * 3_600_000);
    expect((await begin(40)).statusCode).toBe(200);
    const nobody = aPerson({ id: asId<PersonId>('no'), name: 'No', siteIds: [] });
    await works.database.transaction((transaction) => new SqlRecords(transaction).put('people', nobody));
    await giveAccount(works.database, nobody);
    cookie = await works.signIn(nobody);
    expect((await begin(1)).statusCode).toBe(403);
  });
});

describe('a file', () => {
  const file = picture(1_000);
  const id = nameOf(file);

  it('comes in pieces, goes on where it stopped, and is there once', async () => {
    expect((await send(id, file.subarray(0, 400), 0, 1_000)).json()).toEqual({ received: 400, isWhole: false });
    expect((await works.ask(cookie, { url: `/api/files/${id}/received` })).json()).toEqual({
      received: 400,
      isWhole: false,
    });
    const again = await send(id, file.subarray(0, 400), 0, 1_000);
    expect([again.statusCode, again.json<{ values: unknown }>().values]).toEqual([409, { received: 400 }]);
    expect((await send(id, file.subarray(400), 400, 1_000)).json()).toEqual({ received: 1_000, isWhole: true });
    expect((await send(id, file, 0, 1_000)).json()).toEqual({ received: 1_000, isWhole: true });
    const shown = await works.ask(cookie, { url: `/api/files/${id}` });
    expect([shown.headers['content-type'], shown.rawPayload.equals(file)]).toEqual(['image/jpeg', true]);
  });

  it('is sent by two phones at once without harm', async () => {
    const answers = await Promise.all([send(id, file, 0, 1_000), send(id, file, 0, 1_000)]);
    expect(answers.map((answer) => answer.json<{ isWhole: boolean }>().isWhole)).toEqual([true, true]);
  });

  it('goes before the operation that names it, which is not applied until then', async () => {
    const operation = photo(id);
    expect(codesOf(await works.push(cookie, [operation]))).toEqual(['file_missing']);
    await send(id, file, 0, 1_000);
    expect(codesOf(await works.push(cookie, [operation, operation]))).toEqual(['accepted', 'accepted']);
  });

  it('is shown to who may see its work order, and to nobody else', async () => {
    await send(id, file, 0, 1_000);
    await works.push(cookie, [photo(id)]);
    expect((await works.ask(await works.signIn(stranger), { url: `/api/files/${id}` })).statusCode).toBe(404);
    expect((await works.ask(null, { url: `/api/files/${id}` })).statusCode).toBe(401);
  });

  it('that is not what its name says is thrown away', async () => {
    const other = nameOf(picture(999));
    expect(codeIn(await send(other, file, 0, 1_000))).toBe('file_damaged');
    expect((await works.ask(cookie, { url: `/api/files/${other}/received` })).json()).toMatchObject({ received: 0 });
  });

  it('that is a program is not taken, whatever it is called', async () => {
    const program = Buffer.from('MZ\u0000\u0001 and what it does');
    expect(codeIn(await send(nameOf(program), program, 0, program.length))).toBe('file_type_unsupported');
  });

  it('that is a text is kept as it is, and handed out to be saved, never to be shown as a page', async () => {
    const page = Buffer.from('<script>alert(1)</script>');
    const name = nameOf(page);
    expect(codeIn(await send(name, page, 0, page.length))).toBeUndefined();
    const args = {
      workOrderId: workId,
      fileId: name,
      mediaType: 'text/plain' as const,
      name: 'page.txt',
      bytes: page.length,
    };
    await works.push(cookie, [anOperation('file.add', args)]);
    const { headers } = await works.ask(cookie, { url: `/api/files/${name}` });
    expect([headers['content-type'], headers['content-disposition'], headers['x-content-type-options']]).toEqual([
      expect.stringContaining('text/plain'),
      'attachment',
      'nosniff',
    ]);
  });

  it.each([
    ['a name that is a path', '..%2f..%2fetc%2fpasswd', 'bytes 0-999/1000', 400, 'invalid'],
    ['no range', id, '', 400, 'invalid'],
    ['a range that does not fit', id, 'bytes 0-5/1000', 400, 'invalid'],
    ['a range beyond its end', id, 'bytes 0-999/900', 400, 'invalid'],
    ['a size beyond the limit', id, `bytes 0-999/${FILE_BYTES_LIMIT + 1}`, 413, 'file_too_large'],
  ])('with %s is refused', async (_, name, range, status, code) => {
    const answer = await works.ask(cookie, {
      method: 'PUT',
      url: `/api/files/${name}`,
      payload: file,
      headers: { 'content-type': 'application/octet-stream', 'content-range': range },
    });
    expect([answer.statusCode, codeIn(answer)]).toEqual([status, code]);
  });
});
