import { instantFromMillis } from '@oilcan/core/kernel';
import type { Person } from '@oilcan/core/plant/people';
import type { LogAnswer, LoggedOperation } from '@oilcan/core/sync';
import {
  ann,
  anOperation,
  aPerson,
  aPlan,
  aStep,
  lea,
  otherSite,
  put,
  site,
  smallWorks,
  workId,
} from '@oilcan/core/testing';
import { SqlRecords } from '../database/sql-records';
import { DueWork } from '../plans/make-due-work';
import { codesOf, startTestServer, type TestServer } from '../testing/test-server';
import { PRESENT, present } from '../testing/test-clock';

const onWork = { workOrderId: workId };
const at = new Date(PRESENT - 60_000).toISOString();
let works: TestServer;
beforeEach(async () => {
  const elsewhere = aPerson({ id: 'eve' as never, name: 'Eve', roles: ['lead'], siteIds: [otherSite] });
  works = await startTestServer([...smallWorks({ state: 'underway' }, [aStep(1)]), put('people', elsewhere)]);
});
afterEach(() => works.close());

const made = (name: string, args: object, by = ann) =>
  anOperation(name as 'work.start', args as never, { by: by.id, at, knownUntil: at as never });
const ask = async (query: string, as: Person = lea) => works.ask(await works.signIn(as), { url: `/api/log?${query}` });
const logged = async (query = '', as = lea): Promise<readonly LoggedOperation[]> =>
  (await ask(query, as)).json<LogAnswer>().operations;

it('says who did what on which device, and what was before and after', async () => {
  const pushed = await works.push(await works.signIn(ann), [
    made('step.answer', { ...onWork, stepId: aStep(1).id, answer: { type: 'tick' } }),
    made('work.hold', { ...onWork, reason: 'part', note: '' }),
  ]);
  expect(codesOf(pushed)).toEqual(['accepted', 'accepted']);
  const [hold, tick] = await logged(`thing=workOrders:${workId}`);
  expect(hold).toMatchObject({ name: 'work.hold', by: ann.id, outcome: { ok: true }, args: { reason: 'part' } });
  expect(hold?.deviceWords).toEqual(expect.any(String));
  const work = hold?.changed?.find(({ table }) => table === 'workOrders');
  expect(work).toMatchObject({ did: 'changed', fields: { state: { before: 'underway', after: 'held' } } });
  expect(work?.fields).not.toHaveProperty('title');
  expect(tick?.changed).toContainEqual(expect.objectContaining({ table: 'entries', did: 'made', fields: {} }));
  expect(tick?.changed?.find(({ table }) => table === 'steps')?.fields).toHaveProperty('answer');
});

it('has what was refused too, once however often it came', async () => {
  const refused = made('work.start', onWork);
  const cookie = await works.signIn(ann);
  await works.push(cookie, [refused]);
  await works.push(cookie, [refused]);
  const all = await logged(`thing=workOrders:${workId}`);
  expect(all.map(({ outcome, changed }) => [outcome.ok, changed])).toEqual([[false, []]]);
});

it('keeps nothing of what is private, by which it is known again all the same', async () => {
  const cookie = await works.signIn(ann);
  const meeting = made('time.add', {
    siteId: site,
    startedAt: new Date(PRESENT - 7_200_000).toISOString(),
    minutes: 30,
    reason: 'meeting',
    words: 'About my illness',
  });
  const first = await works.push(cookie, [meeting]);
  expect([codesOf(first), codesOf(await works.push(cookie, [meeting]))]).toEqual([['accepted'], ['accepted']]);
  const other = { ...meeting, args: { ...(meeting.args as object), minutes: 45 } };
  expect(codesOf(await works.push(cookie, [other]))).toEqual(['operation_id_reused']);
  expect(await logged('')).toEqual([]);
  const kept = await works.database('operations').where('name', 'time.add').select();
  expect(JSON.stringify(kept)).not.toMatch(/illness|meeting/);
});

it('is for leads, of their sites', async () => {
  await works.push(await works.signIn(ann), [made('note.add', { ...onWork, text: 'Dry' })]);
  expect((await ask('', ann)).statusCode).toBe(403);
  expect((await works.ask(null, { url: '/api/log' })).statusCode).toBe(401);
  const eve = aPerson({ id: 'eve' as never, name: 'Eve' });
  expect(await logged('', eve)).toEqual([]);
  expect(await logged('')).toHaveLength(1);
});

it('is narrowed by person, by what was done and by time, and goes on page by page', async () => {
  const cookie = await works.signIn(ann);
  const notes = Array.from({ length: 45 }, (_, index) => made('note.add', { ...onWork, text: `Note ${index}` }));
  await works.push(cookie, notes);
  await works.push(
    cookie,
    Array.from({ length: 45 }, (_, index) => made('note.add', { ...onWork, text: `More ${index}` })),
  );
  await works.push(
    cookie,
    Array.from({ length: 30 }, (_, index) => made('note.add', { ...onWork, text: `Last ${index}` })),
  );
  const first = (await ask('name=note.add')).json<LogAnswer>();
  expect(first.operations).toHaveLength(100);
  const rest = (await ask(`name=note.add&before=${encodeURIComponent(first.before ?? '')}`)).json<LogAnswer>();
  expect(rest.operations).toHaveLength(20);
  expect(rest.before).toBeNull();
  const ids = new Set([...first.operations, ...rest.operations].map(({ id }) => id));
  expect(ids.size).toBe(120);
  expect(await logged(`by=${lea.id}`)).toEqual([]);
  const tomorrow = instantFromMillis(PRESENT + 86_400_000);
  expect(await logged(`from=${tomorrow}`)).toEqual([]);
  expect(await logged(`to=${tomorrow}&by=${ann.id}`)).toHaveLength(100);
});

it.each(['thing=../etc', 'from=yesterday', 'before=x', 'secret=1', `thing=${'x'.repeat(200)}`])(
  'refuses %s',
  async (query) => {
    expect((await ask(query)).statusCode).toBe(400);
  },
);

it('says under nobody’s name what Oilcan did by itself', async () => {
  const today = present.slice(0, 10);
  await works.database.transaction((transaction) =>
    new SqlRecords(transaction).write([put('plans', aPlan({ startsOn: today as never }))]),
  );
  await new DueWork(works.database, () => undefined).make(PRESENT);
  const [byItself] = await logged('thing=plans:plan');
  expect(byItself).toMatchObject({ name: 'plan.make', by: '', args: { planId: 'plan' } });
  expect(byItself?.changed?.map(({ table, did }) => [table, did])).toEqual([
    ['workOrders', 'made'],
    ['plans', 'changed'],
  ]);
});
