import { mkdtemp, readdir, readFile, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { addMinutes, startOfDay, toMillis, type Change, type Notice } from '@oilcan/core';
import {
  aLevel,
  ann,
  anOperation,
  aWorkOrder,
  binId,
  bob,
  lea,
  noon,
  partId,
  put,
  smallWorks,
  workId,
} from '@oilcan/core/testing';
import { SqlRecords } from '../db/sql-records';
import { Outbox } from '../standins/mail';
import { codesOf, startTestServer, type TestServer } from '../testing/test-server';
import { deliverMails } from './deliver-mails';
import { watchTime } from './watch-time';

let works: TestServer;
beforeEach(async () => {
  works = await startTestServer(smallWorks({ personIds: [] }));
});
afterEach(() => works.close());

const noticesFor = async (cookie: string): Promise<Notice[]> => {
  const { changes } = await works.pull(cookie);
  return changes.flatMap((change: Change) => (change.table === 'notices' && change.row !== null ? [change.row] : []));
};
const kinds = async (cookie: string): Promise<string[]> => (await noticesFor(cookie)).map(({ kind }) => kind);
const give = (cookie: string) =>
  works.push(cookie, [
    anOperation('work.give', { workOrderId: workId, personIds: [ann.id], crewId: null }, { by: lea.id }),
  ]);

describe('notices', () => {
  it('come to whom they concern and to nobody else, and are counted until they were seen', async () => {
    const [annCookie, bobCookie, leaCookie] = [
      await works.signIn(ann),
      await works.signIn(bob),
      await works.signIn(lea),
    ];
    expect(codesOf(await give(leaCookie))).toEqual(['accepted']);
    expect([await kinds(annCookie), await kinds(bobCookie), await kinds(leaCookie)]).toEqual([['given'], [], []]);
    const [given] = await noticesFor(annCookie);
    const see = anOperation('notices.see', { noticeIds: [given?.id ?? ''] }, { at: new Date().toISOString() });
    expect(codesOf(await works.push(annCookie, [see]))).toEqual(['accepted']);
    expect((await noticesFor(annCookie))[0]?.seenAt).not.toBeNull();
  });

  it('of what is followed are one until it is seen, however much happens', async () => {
    const [bobCookie, leaCookie] = [await works.signIn(bob), await works.signIn(lea)];
    await works.push(bobCookie, [
      anOperation('work.follow', { workOrderId: workId, isFollowed: true }, { by: bob.id }),
    ]);
    const note = (text: string) => anOperation('note.add', { workOrderId: workId, text }, { by: lea.id });
    await works.push(leaCookie, [note('one'), note('two')]);
    await works.push(leaCookie, [note('three')]);
    expect((await noticesFor(bobCookie)).map(({ kind, detail }) => [kind, detail])).toEqual([['changed', 'a note']]);
  });

  it('that are not wanted do not come', async () => {
    const annCookie = await works.signIn(ann);
    const silent = { kind: 'given' as const, isWanted: false, byMail: false, byPush: false };
    await works.push(annCookie, [anOperation('notices.choose', silent)]);
    await give(await works.signIn(lea));
    expect(await kinds(annCookie)).toEqual([]);
  });
});

describe('mail', () => {
  it('goes to the outbox as a file, once, and is listed for its person alone', async () => {
    const folder = await mkdtemp(join(tmpdir(), 'oilcan-outbox-'));
    const annCookie = await works.signIn(ann);
    const byMail = { kind: 'given' as const, isWanted: true, byMail: true, byPush: false };
    await works.push(annCookie, [anOperation('notices.choose', byMail)]);
    await give(await works.signIn(lea));
    const outbox = new Outbox(folder);
    const failing = { send: () => Promise.reject(new Error('No line')) };
    await expect(deliverMails(works.database, failing, 0)).rejects.toThrow('No line');
    expect(await deliverMails(works.database, outbox, toMillis(noon))).toBe(1);
    expect(await deliverMails(works.database, outbox, toMillis(noon))).toBe(0);
    const [file] = await readdir(folder);
    const text = await readFile(join(folder, file ?? ''), 'utf8');
    expect(text).toContain('To: Ann <ann@oilcan.invalid>');
    expect(text).toContain('Subject: Given to you: W-1 Seal weeping');
    const mailsOf = async (cookie: string) =>
      (await works.ask(cookie, { url: '/api/mails' })).json<{ mails: unknown[] }>().mails;
    expect(await mailsOf(annCookie)).toHaveLength(1);
    expect(await mailsOf(await works.signIn(bob))).toEqual([]);
    await rm(folder, { recursive: true });
  });
});

describe('looking at the clock', () => {
  it('tells what became late once, and what is short for tomorrow once', async () => {
    await works.close();
    const tomorrow = addMinutes(startOfDay(noon, 'Europe/Vienna', 1), 600);
    const kit = [{ partId, binId, quantity: 9_000, unit: null }];
    works = await startTestServer([
      ...smallWorks({ dueAt: addMinutes(noon, -30) }),
      put('workOrders', aWorkOrder({ id: 'w-2' as never, number: 'W-2', dueAt: tomorrow, kit })),
    ]);
    const annCookie = await works.signIn(ann);
    expect(await watchTime(works.database, toMillis(noon))).not.toBeNull();
    expect((await noticesFor(annCookie)).map(({ kind, detail }) => [kind, detail])).toEqual([
      ['late', ''],
      ['short', 'Seal: 8 of 9 pcs'],
    ]);
    expect(await watchTime(works.database, toMillis(noon) + 60_000)).toBeNull();
    await works.database.transaction((transaction) => new SqlRecords(transaction).put('stock', aLevel(2_000)));
    expect(await watchTime(works.database, toMillis(noon) + 120_000)).not.toBeNull();
  });
});
