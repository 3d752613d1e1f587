import ICAL from 'ical.js';
import { addMinutes, asId, parseInstant, type CrewId, type WorkOrderId } from '@oilcan/core/kernel';
import { aCrew, ann, aWorkOrder, bob, otherSite, put, smallWorks } from '@oilcan/core/testing';
import type { WorkOrder } from '@oilcan/core/orders/work';
import { startTestServer, type TestServer } from '../testing/test-server';
import { present } from '../testing/test-clock';

const crewId = asId<CrewId>('crew');
const dueAt = parseInstant('2026-11-25T15:00:00Z');
const work = (id: string, given: Partial<WorkOrder>) =>
  put('workOrders', aWorkOrder({ id: asId<WorkOrderId>(id), number: id, personIds: [ann.id], dueAt, ...given }));

let works: TestServer;
let cookie: string;
beforeEach(async () => {
  works = await startTestServer([
    ...smallWorks({ dueAt: null, plannedOn: null }),
    put('crews', aCrew({ id: crewId, memberIds: [ann.id] })),
    work('W-10', { title: 'Seal; "weeping", again\nand again', estimateMinutes: 90 }),
    work('W-11', { plannedOn: '2026-12-01' as never, title: 'Überlanger Titel '.repeat(12) }),
    work('W-12', { personIds: [], crewId, estimateMinutes: 0 }),
    work('W-13', { personIds: [bob.id] }),
    work('W-14', { state: 'finished' }),
    work('W-15', { siteId: otherSite }),
  ]);
  cookie = await works.signIn(ann);
});
afterEach(() => works.close());

const make = async (): Promise<string> =>
  (await works.ask(cookie, { method: 'POST', url: '/api/calendar' })).json<{ path: string }>().path;

/** The events that another reader finds, by their numbers. */
const eventsIn = (text: string) =>
  new ICAL.Component(ICAL.parse(text) as never).getAllSubcomponents('vevent').map((each) => new ICAL.Event(each));

it('is read back by another reader: own open work with a day, and that of the own crew', async () => {
  const answer = await works.ask(null, { url: await make() });
  expect(answer.headers['content-type']).toContain('text/calendar');
  const events = eventsIn(answer.body);
  expect(events.map(({ summary }) => summary.split(' ')[0])).toEqual(['W-10', 'W-11', 'W-12']);
  const [due, planned, ofCrew] = events;
  expect(due?.summary).toBe('W-10 Seal; "weeping", again\nand again');
  expect(due?.endDate.toJSDate().toISOString()).toBe(dueAt);
  expect(due?.startDate.toJSDate().toISOString()).toBe(addMinutes(dueAt, -90));
  expect([planned?.startDate.isDate, planned?.startDate.toString()]).toEqual([true, '2026-12-01']);
  expect(ofCrew?.duration.toSeconds()).toBe(1_800);
  for (const line of answer.body.split('\r\n')) expect(Buffer.byteLength(line)).toBeLessThanOrEqual(75);
});

it('leads nowhere once it was withdrawn, or another was made, and says no more than of one that never was', async () => {
  const first = await make();
  const second = await make();
  expect((await works.ask(null, { url: first })).statusCode).toBe(404);
  expect((await works.ask(null, { url: second })).statusCode).toBe(200);
  expect((await works.ask(cookie, { method: 'DELETE', url: '/api/calendar' })).statusCode).toBe(204);
  const never = `/api/calendar/${'A'.repeat(43)}.ics`;
  const [withdrawn, unknown] = [await works.ask(null, { url: second }), await works.ask(null, { url: never })];
  expect([withdrawn.statusCode, withdrawn.json<{ code: string }>().code]).toEqual([404, 'not_found']);
  expect(withdrawn.json<{ detail: string }>().detail).toBe(unknown.json<{ detail: string }>().detail);
});

it('is made by its person alone, who sees when it was read; no token is kept', async () => {
  expect((await works.ask(null, { method: 'POST', url: '/api/calendar' })).statusCode).toBe(401);
  const link = async () =>
    (await works.ask(cookie, { url: '/api/calendar' })).json<{ link: { readAt: string | null } | null }>().link;
  expect(await link()).toBeNull();
  const path = await make();
  expect(await link()).toMatchObject({ readAt: null });
  await works.ask(null, { url: path });
  expect((await link())?.readAt ?? '').toMatch(present.slice(0, 10));
  const token = path.slice('/api/calendar/'.length, -4);
  expect(JSON.stringify(await works.database('calendar_links').select())).not.toContain(token);
});

it.each(['/api/calendar/x.ics', '/api/calendar/..%2f..%2fetc.ics', `/api/calendar/${'A'.repeat(43)}.txt`])(
  'refuses %s',
  async (url) => {
    expect([400, 404]).toContain((await works.ask(null, { url })).statusCode);
  },
);
