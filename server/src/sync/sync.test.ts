import { addMinutes, asId, type OperationId, type SiteId, type WorkOrderId } from '@oilcan/core/kernel';
import type { Operation } from '@oilcan/core/operations';
import { PROTOCOL, type PullAnswer } from '@oilcan/core/sync';
import type { LightMyRequestResponse } from 'fastify';
import {
  anOperation,
  ann,
  aCrew,
  aPerson,
  aProcedure,
  aStep,
  aWorkOrder,
  bob,
  lea,
  newOperationId,
  noon,
  otherSite,
  partId,
  binId,
  put,
  site,
  smallWorks,
  workId,
} from '@oilcan/core/testing';
import { isOnPostgres } from '../testing/fresh-database';
import { codesOf, startTestServer, type TestServer } from '../testing/test-server';
import { SqlRecords } from '../database/sql-records';
import { pull, readWork } from './pull';
import { scopeOf } from './scope';
import { push } from './push';
import { PRESENT, present } from '../testing/test-clock';

let works: TestServer;
let cookie: string;
const elsewhere = asId<WorkOrderId>('w-elsewhere');
const longAgo = asId<WorkOrderId>('w-long-ago');

beforeEach(async () => {
  works = await startTestServer([
    ...smallWorks({}, [aStep(1), aStep(2)]),
    put('workOrders', aWorkOrder({ id: elsewhere, number: 'W-9', siteId: otherSite })),
    put('steps', aStep(9, { type: 'tick' }, { workOrderId: elsewhere, siteId: otherSite })),
    put(
      'workOrders',
      aWorkOrder({ id: longAgo, number: 'W-0', state: 'accepted', closedAt: addMinutes(noon, -60 * 24 * 400) }),
    ),
    put('steps', aStep(8, { type: 'tick' }, { workOrderId: longAgo })),
  ]);
  cookie = await works.signIn(ann);
});
afterEach(() => works.close());

const idsIn = (answer: PullAnswer, table: string): string[] =>
  answer.changes
    .filter((change) => change.table === table)
    .map(({ id }) => id)
    .sort();
const tick = (position: number): Operation =>
  anOperation('step.answer', { workOrderId: workId, stepId: aStep(position).id, answer: { type: 'tick' } });
const rowCounts = async () =>
  Promise.all(
    ['entries', 'operations', 'movements'].map(async (table) =>
      Number((await works.database(table).count({ n: '*' }))[0]?.['n']),
    ),
  );

/** What is brought about here in words that SQLite alone understands. */
const onSqlite = isOnPostgres ? it.skip : it;

describe('pushing operations', () => {
  it('applies them in their order, and brings back what they changed', async () => {
    const { revision } = await works.pull(cookie);
    expect(
      codesOf(await works.push(cookie, [anOperation('work.start', { workOrderId: workId }), tick(1), tick(2)])),
    ).toEqual(['accepted', 'accepted', 'accepted']);
    const pulled = await works.pull(cookie, revision);
    expect(idsIn(pulled, 'steps')).toEqual([aStep(1).id, aStep(2).id]);
    expect(idsIn(pulled, 'entries')).toHaveLength(3);
    expect(await works.pull(cookie, pulled.revision)).toMatchObject({
      changes: [],
      revision: pulled.revision,
      hasMore: false,
    });
  });

  it('takes the same operation once, however often and in whatever company it comes', async () => {
    const use = anOperation('part.use', { workOrderId: workId, partId, binId, quantity: 2_000 });
    expect(codesOf(await works.push(cookie, [use, use]))).toEqual(['accepted', 'accepted']);
    expect(codesOf(await works.push(cookie, [tick(1), use]))).toEqual(['accepted', 'accepted']);
    expect(await rowCounts()).toEqual([3, 2, 2]);
    const { changes } = await works.pull(cookie);
    expect(changes.find((change) => change.table === 'stock')?.row).toMatchObject({ onHand: 6_000 });
  });

  it('keeps its first refusal, even when it would pass by now', async () => {
    const finish = anOperation('work.finish', { workOrderId: workId });
    expect(codesOf(await works.push(cookie, [finish]))).toEqual(['state_forbids']);
    await works.push(cookie, [anOperation('work.start', { workOrderId: workId })]);
    expect(codesOf(await works.push(cookie, [finish]))).toEqual(['state_forbids']);
  });

  it('takes an operation from its maker after somebody else tried to send it', async () => {
    const operation = tick(1);
    expect(codesOf(await works.push(await works.signIn(bob), [operation]))).toEqual(['not_as_another']);
    expect(codesOf(await works.push(cookie, [operation]))).toEqual(['accepted']);
  });

  it('does not let an operation’s number stand for another', async () => {
    const first = tick(1);
    expect(codesOf(await works.push(cookie, [first, { ...tick(2), id: first.id }]))).toEqual([
      'accepted',
      'operation_id_reused',
    ]);
  });

  it('keeps of a refused operation at most two kilobytes, and knows it again', async () => {
    const args = { workOrderId: 'w-404', text: 'x'.repeat(9_000) };
    const refused = anOperation('note.add', args as never);
    expect(codesOf(await works.push(cookie, [refused]))).toEqual(['not_found']);
    const [logged]: { args: string }[] = await works.database('operations').where('id', refused.id).select('args');
    expect(logged?.args.length).toBeLessThan(2_048);
    expect(codesOf(await works.push(cookie, [refused]))).toEqual(['not_found']);
    const other = { ...refused, args: { ...args, text: `${'x'.repeat(8_999)}y` } };
    expect(codesOf(await works.push(cookie, [other]))).toEqual(['operation_id_reused']);
  });

  it('lets the good ones of a batch through beside the bad', async () => {
    const bad = anOperation('note.add', { workOrderId: workId, text: '' });
    expect(codesOf(await works.push(cookie, [bad, { nonsense: true }, tick(1)]))).toEqual([
      'invalid',
      'invalid',
      'accepted',
    ]);
  });

  it('writes everything or nothing', async () => {
    const before = await rowCounts();
    // What is written last fails.
    await works.database.schema.renameTable('operation_things', 'elsewhere');
    expect((await works.push(cookie, [tick(1)])).statusCode).toBe(500);
    expect(await rowCounts()).toEqual(before);
    await works.database.schema.renameTable('elsewhere', 'operation_things');
    expect(codesOf(await works.push(cookie, [tick(1)]))).toEqual(['accepted']);
  });

  onSqlite('says that the disk is full, and keeps nothing by halves', async () => {
    await works.database.raw('PRAGMA max_page_count = 1');
    const note = (id: OperationId): Operation => ({
      ...anOperation('note.add', { workOrderId: workId, text: 'x'.repeat(9_000) }),
      id,
    });
    const answer = await works.push(
      cookie,
      Array.from({ length: 40 }, () => note(newOperationId())),
    );
    expect([answer.statusCode, answer.json<{ code: string }>().code]).toEqual([503, 'no_space']);
    expect(await rowCounts()).toEqual([0, 0, 1]);
  });
});

describe('pulling rows', () => {
  it('brings what is open or recent on the person’s sites, and nothing of others', async () => {
    const all = await works.pull(cookie);
    expect(idsIn(all, 'workOrders')).toEqual([workId]);
    expect(idsIn(all, 'steps')).toEqual([aStep(1).id, aStep(2).id]);
    expect(idsIn(all, 'movements')).toEqual([]);
  });

  it('gives in pages what it gives as one', async () => {
    const whole = await works.pull(cookie);
    const pieces: PullAnswer['changes'][number][] = [];
    const page = (since: number) => pull(works.database, ann, { since, isFilling: true, pageRows: 3 }, () => PRESENT);
    let answer = await page(0);
    pieces.push(...answer.changes);
    while (answer.hasMore) {
      answer = await page(answer.revision);
      pieces.push(...answer.changes);
    }
    // Later pages also tell of what went meanwhile; a phone that never had it is told for nothing.
    expect(pieces.filter(({ row }) => row !== null)).toEqual(whole.changes);
    expect(answer.revision).toBe(whole.revision);
  });

  it('lets a phone begin anew that knows more than there is, since the database was put back', async () => {
    const { scope, revision } = await works.pull(cookie);
    const ask = (since: number) => pull(works.database, ann, { since, isFilling: false }, () => PRESENT);
    expect(await ask(revision)).toMatchObject({ scope, revision, changes: [] });
    const answer = await ask(revision + 1);
    expect(answer).toMatchObject({ changes: [], hasMore: false });
    expect(answer.scope).not.toBe(scope);
  });

  it('brings the permits of work that is carried whole, and of other work when it is looked up', async () => {
    const permit = (id: string, workOrderId: WorkOrderId) =>
      put('permits', { id, siteId: site, workOrderId, kind: 'hotWork', conditions: '', issued: null });
    const others = aWorkOrder({ id: asId<WorkOrderId>('w-9'), number: 'W-9', personIds: [bob.id] });
    await works.database.transaction((transaction) =>
      new SqlRecords(transaction).write([
        put('workOrders', others),
        permit('mine', workId),
        permit('others', others.id),
      ]),
    );
    expect(idsIn(await works.pull(cookie), 'permits')).toEqual(['mine']);
    const { changes } = await readWork(works.database, ann, others.id);
    expect(changes.map(({ id }) => id)).toContain('others');
  });

  it('says when a row is gone', async () => {
    await works.push(cookie, [anOperation('clock.start', { workOrderId: workId })]);
    const { revision, changes } = await works.pull(cookie);
    expect(changes.some((change) => change.table === 'clocks' && change.row !== null)).toBe(true);
    await works.push(cookie, [anOperation('clock.stop', { workOrderId: workId, endedAt: null })]);
    expect((await works.pull(cookie, revision)).changes).toContainEqual({ table: 'clocks', id: ann.id, row: null });
  });

  it('tells a phone that was away to let go of work that ended meanwhile', async () => {
    const { revision } = await works.pull(cookie);
    await works.push(await works.signIn(lea), [
      anOperation('work.drop', { workOrderId: workId, reason: 'not needed' }, { by: lea.id }),
    ]);
    const weekLater = PRESENT + 7 * 24 * 3_600_000;
    const { changes } = await pull(works.database, ann, { since: revision, isFilling: false }, () => weekLater);
    expect(changes).toContainEqual({ table: 'workOrders', id: workId, row: null });
  });

  it('keeps finished work with everybody until it is accepted, however long ago it was done', async () => {
    const lead = await works.signIn(lea);
    const { revision } = await works.pull(lead);
    const at = (minutes: number) => addMinutes(noon, minutes);
    const stamped = { at: at(0), knownUntil: at(-1) };
    const answers = [1, 2].map((position) =>
      anOperation(
        'step.answer',
        { workOrderId: workId, stepId: aStep(position).id, answer: { type: 'tick' } },
        { ...stamped },
      ),
    );
    const time = {
      workOrderId: workId,
      personId: ann.id,
      startedAt: at(-60),
      minutes: 30,
      timeType: 'regular' as const,
    };
    const finish = [
      anOperation('labor.add', time, stamped),
      anOperation('work.finish', { workOrderId: workId }, stamped),
    ];
    const daysLater = Date.parse(at(4 * 24 * 60));
    const { answer } = await push(works.database, ann, [...answers, ...finish], () => daysLater);
    expect(answer.outcomes.map(({ outcome }) => outcome.ok)).toEqual([true, true, true, true]);
    const leadPull = (since: number, isFilling: boolean) =>
      pull(works.database, lea, { since, isFilling }, () => daysLater + 60_000);
    const pulled = await leadPull(revision, false);
    expect(pulled.changes.find(({ table }) => table === 'workOrders')).toMatchObject({ row: { state: 'finished' } });
    expect(pulled.changes.filter(({ table }) => table === 'notices')).toMatchObject([{ row: { kind: 'finished' } }]);
    expect(idsIn(await leadPull(0, true), 'workOrders')).toEqual([workId]);
    // Accepted at last, it stays for the days in which ended work is in sight, by the server's time.
    const accept = anOperation('work.accept', { workOrderId: workId }, { ...stamped, by: lea.id, at: at(10) });
    await push(works.database, lea, [accept], () => daysLater + 120_000);
    const shown = async (days: number) =>
      (
        await pull(works.database, lea, { since: 0, isFilling: true }, () => daysLater + days * 24 * 3_600_000)
      ).changes.some(({ table, id }) => table === 'workOrders' && id === workId);
    expect([await shown(2), await shown(4)]).toEqual([true, false]);
  });

  it('names another scope for another person, other sites and another crew', async () => {
    const traveller = aPerson({ siteIds: [site, asId<SiteId>('third')] });
    const scopes = [ann, bob, lea, traveller].map(async (person) => (await scopeOf(works.database, person)).name);
    const before = await Promise.all(scopes);
    expect(new Set(before).size).toBe(4);
    expect((await scopeOf(works.database, ann)).name).toBe(before[0]);
    await works.database.transaction((transaction) => new SqlRecords(transaction).put('crews', aCrew()));
    expect((await scopeOf(works.database, ann)).name).toBe(before[0]);
    expect((await scopeOf(works.database, bob)).name).not.toBe(before[1]);
  });

  it('brings of other people’s work what it is, and the rest when it is asked for', async () => {
    const bobs = await works.signIn(bob);
    const all = await works.pull(bobs);
    expect([idsIn(all, 'workOrders'), idsIn(all, 'steps')]).toEqual([[workId], []]);
    const whole = (await works.ask(bobs, { url: `/api/work/${workId}` })).json<PullAnswer>();
    expect(idsIn(whole, 'steps')).toEqual([aStep(1).id, aStep(2).id]);
    for (const id of [elsewhere, 'w-404']) {
      expect((await works.ask(bobs, { url: `/api/work/${id}` })).statusCode).toBe(404);
    }
  });

  it('brings the rows of work that was given to somebody', async () => {
    const bobs = await works.signIn(bob);
    const { revision } = await works.pull(bobs);
    const given = put('workOrders', aWorkOrder({ personIds: [ann.id, bob.id] }));
    await works.database.transaction((transaction) => new SqlRecords(transaction).write([given]));
    expect(idsIn(await works.pull(bobs, revision), 'steps')).toEqual([aStep(1).id, aStep(2).id]);
  });

  it('sends back operations from the future with all made after them, and applies no late copy of them', async () => {
    const { revision } = await works.pull(cookie);
    const hour = 3_600_000;
    const [early, after] = [
      { ...tick(1), at: new Date(PRESENT + hour).toISOString() },
      { ...tick(2), at: present },
    ];
    expect(codesOf(await works.push(cookie, [early, after]))).toEqual(['made_in_future', 'made_in_future']);
    const stampedAnew = [early, after].map((each) => ({ ...each, ahead: hour }));
    expect(codesOf(await works.push(cookie, stampedAnew))).toEqual(['accepted', 'accepted']);
    expect(codesOf(await works.push(cookie, [early, after]))).toEqual(['accepted', 'accepted']);
    const late = { ...tick(1), at: new Date(PRESENT + hour).toISOString() };
    await works.push(cookie, [late]);
    const tomorrow = PRESENT + 24 * hour;
    const {
      answer: { outcomes },
    } = await push(works.database, ann, [late], () => tomorrow);
    expect(outcomes).toMatchObject([{ outcome: { code: 'made_in_future' } }]);
    expect(idsIn(await works.pull(cookie, revision), 'steps')).toEqual([aStep(1).id, aStep(2).id]);
  });
});

describe('news', () => {
  it('tells an open phone of another’s change, and lets the server stop', async () => {
    const address = await works.server.listen({ port: 0, host: '127.0.0.1' });
    const response = await fetch(`${address}/api/news`, { headers: { cookie } });
    const reader = response.body?.getReader();
    const read = async () => new TextDecoder().decode((await reader?.read())?.value);
    expect(await read()).toContain('retry');
    await works.push(cookie, [tick(1)]);
    expect(await read()).toMatch(/^event: news\ndata: \d+/);
  });

  it('is not told to strangers', async () => {
    expect((await works.ask(null, { url: '/api/news' })).statusCode).toBe(401);
  });
});

describe('a phone of an older version', () => {
  const procedure = aProcedure();
  const pullAs = async (query: string, since = 0): Promise<LightMyRequestResponse> =>
    works.ask(cookie, { url: `/api/sync?since=${since}&filling=${since === 0}&${query}` });
  const before = PROTOCOL.oldest;

  it('goes on working, and does not hear of what it cannot know', async () => {
    await works.database.transaction((transaction) =>
      new SqlRecords(transaction).write([put('procedures', procedure)]),
    );
    const older = await pullAs(`protocol=${before}`);
    expect([older.statusCode, idsIn(older.json<PullAnswer>(), 'procedures')]).toEqual([200, []]);
    const newer = await pullAs(`protocol=${PROTOCOL.newest}`);
    expect(idsIn(newer.json<PullAnswer>(), 'procedures')).toEqual([procedure.id]);
    const sent = { protocol: before, operations: [anOperation('note.add', { workOrderId: workId, text: 'Dry' })] };
    const answer = await works.ask(cookie, { method: 'POST', url: '/api/operations', payload: sent });
    expect(codesOf(answer)).toEqual(['accepted']);
  });

  it('fetches what it could not know before once it is brought up to date', async () => {
    const older = (await pullAs(`protocol=${before}`)).json<PullAnswer>();
    expect((await works.pull(cookie)).scope).not.toBe(older.scope);
  });

  it('is refused only when it could read nothing any more', async () => {
    expect((await pullAs(`protocol=${PROTOCOL.oldest - 1}`)).statusCode).toBe(426);
    expect((await pullAs(`protocol=${PROTOCOL.newest + 1}`)).statusCode).toBe(426);
    expect((await pullAs(`protocol=${PROTOCOL.newest}-${PROTOCOL.newest + 1}`)).statusCode).toBe(200);
  });
});
