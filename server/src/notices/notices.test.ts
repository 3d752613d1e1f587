import { mkdtemp, readdir, readFile, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import {
  addMinutes,
  startOfDay,
  toMillis,
  asId,
  type AssetId,
  type PersonId,
  type WorkOrderId,
} from '@oilcan/core/kernel';
import type { Notice } from '@oilcan/core/overview/notices';
import type { Change } from '@oilcan/core/records';
import { noticeDetail, noticeHeadline } from '@oilcan/core/registry';
import {
  aLevel,
  anAsset,
  ann,
  anOperation,
  aRaise,
  assetId,
  aWorkOrder,
  binId,
  bob,
  lea,
  noon,
  partId,
  put,
  smallWorks,
  workId,
  anEntry,
  aPerson,
  aUse,
} from '@oilcan/core/testing';
import { SqlRecords } from '../database/sql-records';
import { Outbox, type Mail } from '../standins/mail';
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
    const see = anOperation('notices.see', { noticeIds: [given?.id ?? ''] }, { at: works.clock.now });
    expect(codesOf(await works.push(annCookie, [see]))).toEqual(['accepted']);
    expect((await noticesFor(annCookie))[0]?.seenAt).not.toBeNull();
  });

  it('tell the storekeepers of a bin that holds less than nothing by the books', async () => {
    await works.close();
    const arun = aPerson({ id: asId<PersonId>('arun'), name: 'Arun', roles: ['storekeeper'] });
    works = await startTestServer([...smallWorks(), put('people', arun)]);
    const annCookie = await works.signIn(ann);
    const use = (quantity: number) =>
      anOperation('part.use', { workOrderId: workId, partId, binId, quantity }, { by: ann.id });
    expect(codesOf(await works.push(annCookie, [use(8_000)]))).toEqual(['accepted']);
    const arunCookie = await works.signIn(arun);
    expect(await noticesFor(arunCookie)).toEqual([]);
    expect(codesOf(await works.push(annCookie, [use(2_000)]))).toEqual(['accepted']);
    expect((await noticesFor(arunCookie)).map((notice) => noticeHeadline(notice, 'Europe/Vienna'))).toEqual([
      'Count a bin: SEAL-70 in bin C-04 stands at -2 pcs by the books',
    ]);
    expect(await noticesFor(annCookie)).toEqual([]);
  });

  it('of what is followed are one until it is seen, however much happens', async () => {
    const [bobCookie, leaCookie] = [await works.signIn(bob), await works.signIn(lea)];
    await works.push(bobCookie, [
      anOperation('work.follow', { workOrderId: workId, isFollowed: true }, { by: bob.id }),
    ]);
    const note = (text: string) => anOperation('note.add', { workOrderId: workId, text }, { by: lea.id });
    await works.push(leaCookie, [note('one'), note('two')]);
    await works.push(leaCookie, [note('three')]);
    expect((await noticesFor(bobCookie)).map((notice) => [notice.kind, noticeDetail(notice, 'Europe/Vienna')])).toEqual(
      [['changed', 'a note']],
    );
  });

  it('of a followed machine come of all its work, also what is new there and on what is part of it', async () => {
    await works.close();
    const part = anAsset({ id: asId<AssetId>('bearing'), name: 'Bearing', tag: 'B1', parentId: assetId });
    works = await startTestServer([...smallWorks({ personIds: [] }), put('assets', part)]);
    const [bobCookie, leaCookie] = [await works.signIn(bob), await works.signIn(lea)];
    const follow = (isFollowed: boolean) =>
      works.push(bobCookie, [anOperation('asset.follow', { assetId, isFollowed }, { by: bob.id })]);
    const raise = (title: string) =>
      works.push(leaCookie, [anOperation('work.raise', aRaise({ assetId: part.id, title }), { by: lea.id })]);
    const told = async () =>
      (await noticesFor(bobCookie)).map((notice) => `${notice.title}: ${noticeDetail(notice, 'Europe/Vienna')}`);
    await raise('Before');
    expect(codesOf(await follow(true))).toEqual(['accepted']);
    expect(codesOf(await raise('Bearing hums'))).toEqual(['accepted']);
    await works.push(leaCookie, [anOperation('note.add', { workOrderId: workId, text: 'one' }, { by: lea.id })]);
    expect((await told()).sort()).toEqual(['Bearing hums: new on a machine that you follow', 'Seal weeping: a note']);
    await follow(false);
    await raise('After');
    expect(await told()).toHaveLength(2);
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
    expect(await deliverMails(works.database, failing, 0)).toBe(0);
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

describe('a mail that cannot be delivered', () => {
  const wantMail = async (): Promise<string> => {
    const annCookie = await works.signIn(ann);
    const byMail = { kind: 'given' as const, isWanted: true, byMail: true, byPush: false };
    await works.push(annCookie, [anOperation('notices.choose', byMail)]);
    await give(await works.signIn(lea));
    return annCookie;
  };

  it('keeps its name through every try, so that one that went out before a crash is known again', async () => {
    await wantMail();
    const seen: string[] = [];
    const crashes = { send: ({ id }: Mail) => Promise.reject(new Error(`crashed after ${seen.push(id)}`)) };
    await deliverMails(works.database, crashes, 0, () => 0);
    await deliverMails(works.database, crashes, 3_600_000, () => 0);
    expect(seen).toHaveLength(2);
    expect(new Set(seen).size).toBe(1);
  });

  it('is tried ever more rarely, holds up no other, and is put aside for a lead, who may try it again', async () => {
    await wantMail();
    const [stuck]: { notice: string }[] = await works.database('mail_queue');
    const later = { person: bob.id, notice: stuck?.notice, queued_at: noon, mail_id: 'b'.repeat(36) };
    await works.database('mail_queue').insert(later);
    const sent: string[] = [];
    const onlyBob = {
      send: ({ to }: Mail) => {
        if (to.name !== 'Bob') return Promise.reject(new Error('No line'));
        sent.push(to.name);
        return Promise.resolve();
      },
    };
    expect(await deliverMails(works.database, onlyBob, 0, () => 0)).toBe(1);
    expect(await deliverMails(works.database, onlyBob, 500, () => 0)).toBe(0);
    let tries = 1;
    for (let now = 1_000; tries < 20 && now < 40 * 3_600_000; now += 1_000) {
      const [before]: { tries: number }[] = await works.database('mail_queue').select('tries');
      tries = before?.tries ?? 0;
      if (tries >= 10) break;
      await deliverMails(works.database, onlyBob, now, () => 0);
      now += 60_000;
    }
    expect(tries).toBe(10);
    const undelivered = async (cookie: string) =>
      (await works.ask(cookie, { url: '/api/mails/undelivered' })).json<{ mails: { id: string; to: string }[] }>()
        .mails;
    const leaCookie = await works.signIn(lea);
    const [aside] = await undelivered(leaCookie);
    expect(aside).toMatchObject({ to: 'Ann', subject: 'Given to you: W-1 Seal weeping', tries: 10 });
    expect((await works.ask(await works.signIn(bob), { url: '/api/mails/undelivered' })).statusCode).toBe(403);
    const again = await works.ask(leaCookie, { method: 'POST', url: `/api/mails/undelivered/${aside?.id}/again` });
    expect([again.statusCode, await undelivered(leaCookie)]).toEqual([204, []]);
    expect(await deliverMails(works.database, { send: () => Promise.resolve() }, toMillis(noon))).toBe(1);
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
    expect((await noticesFor(annCookie)).map((notice) => [notice.kind, noticeDetail(notice, 'Europe/Vienna')])).toEqual(
      [
        ['late', ''],
        ['short', 'Seal: 8 of 9 pcs'],
      ],
    );
    expect(await watchTime(works.database, toMillis(noon) + 60_000)).toBeNull();
    await works.database.transaction((transaction) => new SqlRecords(transaction).put('stock', aLevel(2_000)));
    expect(await watchTime(works.database, toMillis(noon) + 120_000)).not.toBeNull();
  });

  it('adds up what tomorrow’s jobs need of a bin together, without what was used already', async () => {
    await works.close();
    const tomorrow = addMinutes(startOfDay(noon, 'Europe/Vienna', 1), 600);
    const job = (number: string, quantity: number, dueAt = tomorrow) =>
      put(
        'workOrders',
        aWorkOrder({
          id: asId<WorkOrderId>(number),
          number,
          dueAt,
          kit: [{ partId, binId, quantity, unit: null }],
        }),
      );
    const used = anEntry(aUse(2_000), { workOrderId: asId<WorkOrderId>('W-3') });
    // What is due as the day after begins is not tomorrow's.
    const later = job('W-4', 50_000, startOfDay(noon, 'Europe/Vienna', 2));
    works = await startTestServer([...smallWorks(), job('W-2', 5_000), job('W-3', 6_000), later, put('entries', used)]);
    const annCookie = await works.signIn(ann);
    await watchTime(works.database, toMillis(noon));
    const short = (await noticesFor(annCookie)).filter(({ kind }) => kind === 'short');
    expect(short.map((notice) => noticeDetail(notice, 'Europe/Vienna'))).toEqual([
      'Seal: 8 of 9 pcs for 2 jobs',
      'Seal: 8 of 9 pcs for 2 jobs',
    ]);
  });
});
