import { readdir, utimes } from 'node:fs/promises';
import { join } from 'node:path';
import { aReportLabel, put, smallWorks, somePlace, someRules } from '@oilcan/core/testing';
import { guestBrowser, nameOf, onePixel } from '../testing/guest-browser';
import { PRESENT, present } from '../testing/test-clock';
import { startTestServer, type TestServer } from '../testing/test-server';
import { FileStore } from './file-store';
import { GUEST, sweepOrphans } from './orphans';

let works: TestServer;
const { report } = guestBrowser(() => works);
beforeEach(async () => {
  const rules = put('raiseRules', someRules({ takesGuests: true }));
  works = await startTestServer([
    ...smallWorks(),
    put('places', somePlace),
    put('reportLabels', aReportLabel()),
    rules,
  ]);
});
afterEach(() => works.close());

it('loses photos that no report names, and files that nothing notes, after a day', async () => {
  await report({ photo: onePixel });
  const other = Buffer.concat([onePixel, Buffer.from('more')]);
  const store = new FileStore(works.filesRoot);
  const orphan = nameOf(other);
  await store.put(orphan, other);
  await works
    .database('files')
    .insert({ id: orphan, media_type: 'image/png', bytes: other.length, by_person: GUEST, received_at: present });
  const unnoted = nameOf(Buffer.from('left by a server that died'));
  await store.put(unnoted, Buffer.from('left by a server that died'));
  const [kept] = await works.database('files').whereNot('id', orphan).pluck('id');
  const files = await readdir(works.filesRoot, { recursive: true });
  for (const name of files) await utimes(join(works.filesRoot, name), PRESENT / 1_000, PRESENT / 1_000);
  const left = async (): Promise<number[]> =>
    (await Promise.all([kept, orphan, unnoted].map((id) => store.bytesOf(id)))).map((bytes) => bytes ?? 0);
  await sweepOrphans(works.database, store, PRESENT + 3_600_000);
  expect((await left()).every((bytes) => bytes > 0)).toBe(true);
  await sweepOrphans(works.database, store, PRESENT + 25 * 3_600_000);
  expect(await left()).toEqual([onePixel.length, 0, 0]);
  expect(await works.database('files').pluck('id')).toEqual([kept]);
});
