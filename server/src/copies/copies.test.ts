import { createHash } from 'node:crypto';
import { ann, anOperation, lea, smallWorks, workId } from '@oilcan/core/testing';
import { FileStore } from '../files/file-store';
import type { Mail } from '../standins/mail';
import { codesOf, startTestServer, type TestServer } from '../testing/test-server';
import { deliverCopies } from './deliver-copies';
import { PRESENT } from '../testing/test-clock';

let works: TestServer;
let cookie: string;
beforeEach(async () => {
  works = await startTestServer(smallWorks());
  cookie = await works.signIn(ann);
});
afterEach(() => works.close());

const pdf = Buffer.from('%PDF-1.7\nthe record of a job');
const fileId = createHash('sha256').update(pdf).digest('hex');
const bring = () =>
  works.ask(cookie, {
    method: 'PUT',
    url: `/api/files/${fileId}`,
    payload: pdf,
    headers: { 'content-type': 'application/octet-stream', 'content-range': `bytes 0-${pdf.length - 1}/${pdf.length}` },
  });
const copy = () =>
  anOperation('work.mail-copy', {
    workOrderId: workId,
    to: 'eva@example.org',
    line: 'As promised',
    fileId: fileId as never,
  });
it('is of a PDF, and of nothing else', async () => {
  const picture = Buffer.from([
    0xff, 0xd8, 0xff, 0xe0, 0, 16, 0x4a, 0x46, 0x49, 0x46, 0, 1, 1, 0, 0, 1, 0, 1, 0, 0, 0xff, 0xd9,
  ]);
  const id = createHash('sha256').update(picture).digest('hex');
  const range = `bytes 0-${picture.length - 1}/${picture.length}`;
  const headers = { 'content-type': 'application/octet-stream', 'content-range': range };
  const brought = await works.ask(cookie, { method: 'PUT', url: `/api/files/${id}`, payload: picture, headers });
  expect(brought.statusCode).toBe(200);
  const asked = copy();
  const ofPicture = { ...asked, args: { ...(asked.args as object), fileId: id } };
  expect(codesOf(await works.push(cookie, [ofPicture]))).toEqual(['file_type_unsupported']);
});

const waiting = () => works.database('copy_queue').select('tries', 'put_aside_at');
const files = () => new FileStore(works.filesRoot);

it('goes out once, with its line and the record, however often it was asked for', async () => {
  await bring();
  const asked = copy();
  expect(codesOf(await works.push(cookie, [asked]))).toEqual(['accepted']);
  expect(codesOf(await works.push(cookie, [asked]))).toEqual(['accepted']);
  const sent: Mail[] = [];
  const mail = { send: (each: Mail) => Promise.resolve(void sent.push(each)) };
  expect(await deliverCopies(works.database, { files: files(), mail }, PRESENT)).toBe(1);
  expect(await deliverCopies(works.database, { files: files(), mail }, PRESENT)).toBe(0);
  expect(sent).toHaveLength(1);
  const [only] = sent;
  expect(only).toMatchObject({ to: { address: 'eva@example.org' }, attachment: { mediaType: 'application/pdf' } });
  expect(only?.text).toContain('As promised\n\nAnn sends you the record of');
  expect(only?.attachment?.content.equals(pdf)).toBe(true);
});

it('waits for its PDF', async () => {
  expect(codesOf(await works.push(cookie, [copy()]))).toEqual(['file_missing']);
  expect(await waiting()).toEqual([]);
});

it('is tried again when it cannot be carried away, ever more rarely, and put aside in the end', async () => {
  await bring();
  await works.push(cookie, [copy()]);
  const mail = { send: () => Promise.reject(new Error('No line.')) };
  const now = PRESENT;
  const deliver = (later: number) =>
    deliverCopies(works.database, { files: files(), mail, chance: () => 0.5 }, now + later);
  expect(await deliver(0)).toBe(0);
  expect(await waiting()).toEqual([{ tries: 1, put_aside_at: null }]);
  await deliver(1);
  expect(await waiting()).toEqual([{ tries: 1, put_aside_at: null }]);
  for (let hour = 1; hour < 10; hour += 1) await deliver(hour * 3_600_000);
  const [aside] = await waiting();
  expect(aside).toMatchObject({ tries: 10, put_aside_at: expect.any(String) as unknown });
  expect(await deliver(99 * 3_600_000)).toBe(0);
  expect(await waiting()).toMatchObject([{ tries: 10 }]);

  const lead = await works.signIn(lea);
  const shown = async () =>
    (await works.ask(lead, { url: '/api/mails/undelivered' })).json<{ mails: { id: string; to: string }[] }>().mails;
  const [mail1] = await shown();
  expect(mail1).toMatchObject({ to: 'eva@example.org', tries: 10 });
  const again = await works.ask(lead, { method: 'POST', url: `/api/mails/undelivered/${mail1?.id ?? ''}/again` });
  expect(again.statusCode).toBe(204);
  expect(await shown()).toEqual([]);
  expect(await waiting()).toMatchObject([{ tries: 0 }]);
});
