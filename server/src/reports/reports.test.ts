import { createHash } from 'node:crypto';
import { Readable } from 'node:stream';
import { asId, type FileId, type PersonId, type ReportId } from '@oilcan/core/kernel';
import type { Notice } from '@oilcan/core/overview/notices';
import type { Change } from '@oilcan/core/records';
import type { PullAnswer } from '@oilcan/core/sync';
import {
  ann,
  anIncidentReport,
  anOperation,
  aPerson,
  aRaise,
  aReport,
  aReporting,
  bob,
  lea,
  otherSite,
  put,
  reportId,
  smallWorks,
  someRules,
} from '@oilcan/core/testing';
import { FileStore } from '../files/file-store';
import { loadRows } from '../load/load';
import { codesOf, startTestServer, type TestServer } from '../testing/test-server';
import { PRESENT, testClock } from '../testing/test-clock';

const sam = aPerson({ id: asId<PersonId>('sam'), name: 'Sam', roles: ['lead'], siteIds: [otherSite] });
let works: TestServer;
const begin = async (...more: Change[]): Promise<void> => {
  works = await startTestServer([...smallWorks(), put('people', sam), ...more]);
};
afterEach(() => works.close());

const rowsFor = async (person: typeof ann, table: string, protocol?: string): Promise<unknown[]> => {
  const cookie = await works.signIn(person);
  const { changes } =
    protocol === undefined
      ? await works.pull(cookie)
      : (await works.ask(cookie, { url: `/api/sync?since=0&filling=true&protocol=${protocol}` })).json<PullAnswer>();
  return changes.filter((change) => change.table === table).map(({ row }) => row);
};
const noticesOf = async (person: typeof ann): Promise<string[]> =>
  ((await rowsFor(person, 'notices')) as Notice[]).map(({ kind, number }) => `${kind} ${number}`).sort();

describe('an incident', () => {
  const picture = Buffer.from([0xff, 0xd8, 0xff, 0xe0, 1, 2, 3]);
  const fileId = asId<FileId>(createHash('sha256').update(picture).digest('hex'));

  it('is carried by whoever reported it, was there or leads the site, and by nobody else', async () => {
    await begin();
    const operation = anOperation('incident.make', anIncidentReport());
    expect(codesOf(await works.push(await works.signIn(ann), [operation]))).toEqual(['accepted']);
    expect(await rowsFor(ann, 'incidents')).toHaveLength(1);
    expect(await rowsFor(lea, 'incidents')).toHaveLength(1);
    for (const stranger of [bob, sam]) expect(await rowsFor(stranger, 'incidents')).toEqual([]);
    expect(await noticesOf(lea)).toEqual([`reported ${numberIn(await rowsFor(lea, 'incidents'))}`]);
    expect(await noticesOf(bob)).toEqual([]);
  });

  it('has its photo shown to the same people alone', async () => {
    await begin();
    const [anns, bobs, leas] = [await works.signIn(ann), await works.signIn(bob), await works.signIn(lea)];
    const sent = await works.ask(anns, {
      method: 'PUT',
      url: `/api/files/${fileId}`,
      headers: { 'content-type': 'application/octet-stream', 'content-range': `bytes 0-6/7` },
      payload: picture,
    });
    expect(sent.statusCode).toBe(200);
    const photo = { fileId, mediaType: 'image/jpeg', width: 1, height: 1 } as const;
    expect(codesOf(await works.push(anns, [anOperation('incident.make', anIncidentReport({ photo }))]))).toEqual([
      'accepted',
    ]);
    const statusOf = async (cookie: string): Promise<number> =>
      (await works.ask(cookie, { url: `/api/files/${fileId}` })).statusCode;
    expect([await statusOf(anns), await statusOf(leas), await statusOf(bobs)]).toEqual([200, 200, 404]);
  });

  it('is read by whoever leads the site now, and no more by whoever ceased to', async () => {
    await begin();
    await works.push(await works.signIn(ann), [anOperation('incident.make', anIncidentReport())]);
    const [cleo, formerLead] = [aPerson({ id: bob.id, roles: ['lead'] }), { ...lea, roles: ['technician'] as const }];
    const lines = [cleo, formerLead].map((row) => `${JSON.stringify({ table: 'people', row })}\n`);
    await loadRows(works.database, Readable.from(lines), { files: new FileStore(works.filesRoot), clock: testClock() });
    expect(await rowsFor(bob, 'incidents')).toHaveLength(1);
    expect(await rowsFor(lea, 'incidents')).toEqual([]);
    // Nor is the notice, which has its words.
    expect(await rowsFor(lea, 'notices')).toEqual([]);
    expect(await rowsFor(ann, 'incidents')).toHaveLength(1);
  });

  it('stands in the log without its words', async () => {
    await begin();
    await works.push(await works.signIn(ann), [
      anOperation('incident.make', anIncidentReport({ words: 'Broke an arm' })),
    ]);
    const log: unknown[] = await works.database('operations').select();
    expect(JSON.stringify(log)).not.toContain('Broke an arm');
  });
});

const numberIn = ([row]: readonly unknown[]): string => (row as { readonly number: string }).number;

describe('who hears of a report', () => {
  it('are the leads of the site; its reporter of every answer, and whoever has it too', async () => {
    await begin();
    const operation = anOperation('report.make', aReporting());
    await works.push(await works.signIn(ann), [operation]);
    const number = numberIn(await rowsFor(lea, 'reports'));
    expect([await noticesOf(lea), await noticesOf(ann), await noticesOf(sam)]).toEqual([
      [`reported ${number}`],
      [],
      [],
    ]);
    await works.push(await works.signIn(bob), [
      anOperation('report.me-too', { reportId: asId(operation.id) }, { by: bob.id }),
    ]);
    const raise = anOperation('work.raise', aRaise({ reportIds: [asId(operation.id)] }), { by: lea.id });
    expect(codesOf(await works.push(await works.signIn(lea), [raise]))).toEqual(['accepted']);
    expect([await noticesOf(ann), await noticesOf(bob)]).toEqual([[`answered ${number}`], [`answered ${number}`]]);
  });

  it('is whoever is sent to look', async () => {
    await begin(put('reports', aReport()));
    const look = anOperation('report.send-to-look', { reportId, personId: bob.id }, { by: lea.id });
    await works.push(await works.signIn(lea), [look]);
    expect(await noticesOf(bob)).toEqual(['look P-1']);
  });

  it('is no phone of before there were reports', async () => {
    await begin(put('reports', aReport({ by: bob.id })));
    await works.push(await works.signIn(ann), [anOperation('report.say', { reportId, words: 'More', photo: null })]);
    await works.push(await works.signIn(ann), [anOperation('report.make', aReporting())]);
    expect(await rowsFor(lea, 'reports', '8-13')).toEqual([]);
    expect(await rowsFor(lea, 'notices', '8-13')).toEqual([]);
    expect((await rowsFor(lea, 'notices')).length).toBeGreaterThan(0);
  });
});

describe('raised work that waits', () => {
  it('is told to the leads, and to whoever has it once it may start', async () => {
    const goAhead = { kinds: ['corrective'], aboveMinor: null, minorPerHour: 0 } as const;
    await begin(put('raiseRules', someRules({ goAhead })));
    const raise = anOperation('work.raise', aRaise({ personIds: [ann.id] }));
    expect(codesOf(await works.push(await works.signIn(ann), [raise]))).toEqual(['accepted']);
    const [told = ''] = await noticesOf(lea);
    expect(told).toMatch(/^goAhead W-/);
    const letStart = anOperation('work.let-start', { workOrderIds: [asId(raise.id)] }, { by: lea.id });
    await works.push(await works.signIn(lea), [letStart]);
    expect(await noticesOf(ann)).toEqual([told.replace('goAhead', 'mayStart')]);
  });
});

describe('a report that ended', () => {
  it('is carried for thirty days, and then no more', async () => {
    const daysAgo = (days: number) => new Date(PRESENT - days * 86_400_000).toISOString() as never;
    const ended = (id: string, days: number) =>
      put('reports', aReport({ id: asId<ReportId>(id), number: id, state: 'declined', endedAt: daysAgo(days) }));
    await begin(ended('young', 29), ended('old', 31), put('reports', aReport()));
    const ids = (await rowsFor(ann, 'reports')).map((row) => (row as { readonly id: string }).id);
    expect(ids.sort()).toEqual([reportId, 'young'].sort());
  });
});
