import { catalogue, isErrorCode } from '@oilcan/core/registry';
import { PROTOCOL, PUSH_LIMIT, REQUEST_BYTES_LIMIT } from '@oilcan/core/sync';
import { anOperation, ann, aStep, binId, bob, lea, partId, smallWorks, workId } from '@oilcan/core/testing';
import type { InjectOptions } from 'fastify';
import { codesOf, startTestServer, type TestServer } from '../testing/test-server';
import { PRESENT, present } from '../testing/test-clock';

let works: TestServer;
let cookie: string;
let before: unknown;

const recorded = async (): Promise<unknown> =>
  Promise.all(
    ['work_orders', 'steps', 'entries', 'stock', 'movements', 'clocks', 'points'].map((table) =>
      works.database(table).select('id', 'body').orderBy('id'),
    ),
  );

beforeAll(async () => {
  works = await startTestServer(smallWorks({}, [aStep(1)]));
  cookie = await works.signIn(ann);
  before = await recorded();
});
afterAll(() => works.close());
afterEach(async () => expect(await recorded()).toEqual(before));

const json = (payload: string): InjectOptions => ({
  method: 'POST',
  url: '/api/operations',
  payload,
  headers: { 'content-type': 'application/json' },
});
const push = (payload: unknown): InjectOptions => json(JSON.stringify(payload));
const onWork = { workOrderId: workId };
const hourAgo = (): string => new Date(PRESENT - 3_600_000).toISOString();
const operation = (name: string, args: unknown) => ({
  ...anOperation('note.add', { ...onWork, text: '-' }),
  name,
  args,
  at: present,
});

describe('a bad request', () => {
  it.each<[string, InjectOptions, number, string]>([
    ['malformed JSON', json('{"protocol":'), 400, 'malformed_json'],
    ['an empty body', json(''), 400, 'malformed_json'],
    [
      'a prototype in the JSON',
      json('{"__proto__":{"admin":true},"protocol":1,"operations":[1]}'),
      400,
      'malformed_json',
    ],
    [
      'another media type',
      { ...json('protocol=1'), headers: { 'content-type': 'application/x-www-form-urlencoded' } },
      415,
      'media_type_unsupported',
    ],
    ['no operations', push({ protocol: PROTOCOL.newest, operations: [] }), 400, 'invalid'],
    ['a list instead of an object', push([1, 2]), 400, 'invalid'],
    ['null', push(null), 400, 'invalid'],
    ['an unknown field', push({ protocol: PROTOCOL.newest, operations: [{}], admin: true }), 400, 'invalid'],
    ['a number as text', push({ protocol: '1', operations: [{}] }), 400, 'invalid'],
    ['an older protocol', push({ protocol: PROTOCOL.oldest - 1, operations: [{}] }), 426, 'protocol_older'],
    ['a newer protocol', push({ protocol: PROTOCOL.newest + 1, operations: [{}] }), 426, 'protocol_newer'],
    ['a pull of an older protocol', { url: '/api/sync?since=0&protocol=1' }, 426, 'protocol_older'],
    ['a pull of no protocol', { url: '/api/sync?since=0' }, 400, 'invalid'],
    [
      'too many operations',
      push({ protocol: PROTOCOL.newest, operations: Array.from({ length: PUSH_LIMIT + 1 }, () => ({})) }),
      413,
      'too_many_operations',
    ],
    [
      'a body over the limit',
      json(`{"protocol":1,"operations":["${'x'.repeat(REQUEST_BYTES_LIMIT)}"]}`),
      413,
      'body_too_large',
    ],
    ['a revision that is none', { url: '/api/sync?since=yesterday' }, 400, 'invalid'],
    ['a revision below zero', { url: '/api/sync?since=-1' }, 400, 'invalid'],
    ['no revision', { url: '/api/sync' }, 400, 'invalid'],
    [
      'another origin',
      {
        ...push({ protocol: PROTOCOL.newest, operations: [{}] }),
        headers: { 'content-type': 'application/json', origin: 'https://elsewhere.example' },
      },
      403,
      'foreign_origin',
    ],
    [
      'an unreadable origin',
      {
        ...push({ protocol: PROTOCOL.newest, operations: [{}] }),
        headers: { 'content-type': 'application/json', origin: 'null' },
      },
      403,
      'foreign_origin',
    ],
    ['an unknown address', { url: '/api/nothing' }, 404, 'route_unknown'],
    ['a broken address', { url: '/api/%E0%A4%A' }, 400, 'invalid'],
    ['another method', { method: 'PATCH', url: '/api/sync' }, 404, 'route_unknown'],
    [
      'a name of 10,000 letters',
      { method: 'POST', url: '/api/session', payload: { name: 'x'.repeat(10_000), password: 'x' } },
      400,
      'invalid',
    ],
    ['no password', { method: 'POST', url: '/api/session', payload: { name: 'Ann' } }, 400, 'invalid'],
    [
      'a password that is an object',
      { method: 'POST', url: '/api/session', payload: { name: 'Ann', password: { $ne: '' } } },
      400,
      'invalid',
    ],
  ])('with %s is refused in a clear sentence', async (_, options, status, code) => {
    const answer = await works.ask(cookie, options);
    expect([answer.statusCode, answer.json<{ code: string }>().code]).toEqual([status, code]);
    expect(answer.headers['content-type']).toContain('application/problem+json');
    expect(answer.json<{ title: string }>().title).toMatch(/^.{10,}\.$/);
  });

  it.each<[string, string | null, string]>([
    ['no cookie', null, 'not_signed_in'],
    ['an invented cookie', 'oilcan_session=abc', 'session_expired'],
  ])('with %s is not let in', async (_, given, code) => {
    for (const options of [
      push({ protocol: PROTOCOL.newest, operations: [{}] }),
      { url: `/api/sync?since=0&protocol=${PROTOCOL.newest}` },
      { url: '/api/session' },
    ]) {
      const answer = await works.ask(given, options);
      expect([answer.statusCode, answer.json<{ code: string }>().code]).toEqual([401, code]);
    }
  });
});

describe('a bad operation', () => {
  const labor = (minutes: unknown, startedAt: unknown = hourAgo()) =>
    operation('labor.add', { ...onWork, personId: ann.id, startedAt, minutes, timeType: 'regular' });
  const use = (quantity: unknown) => operation('part.use', { ...onWork, partId, binId, quantity });

  it.each<[string, () => unknown, string, string | null]>([
    ['that is no operation', () => 7, 'invalid', null],
    ['without a number of its own', () => ({ ...operation('work.start', onWork), id: 'one' }), 'invalid', 'id'],
    ['of an unknown name', () => operation('work.explode', onWork), 'operation_unknown', 'name'],
    ['made in somebody’s name', () => ({ ...operation('work.start', onWork), by: bob.id }), 'not_as_another', 'by'],
    [
      'that says how far its device is ahead in words',
      () => ({ ...operation('work.start', onWork), ahead: 'much' }),
      'invalid',
      'ahead',
    ],
    [
      'of a device two hundred years ahead',
      () => ({ ...operation('work.start', onWork), ahead: 7e12 }),
      'invalid',
      'ahead',
    ],
    ['from the year 1969', () => ({ ...operation('work.start', onWork), at: '1969-12-31T23:00:00Z' }), 'invalid', 'at'],
    [
      'that does not say what was known',
      () => ({ ...operation('work.start', onWork), knownUntil: null }),
      'invalid',
      'knownUntil',
    ],
    ['with a field too many', () => operation('work.start', { ...onWork, force: true }), 'invalid', null],
    [
      'on work that does not exist',
      () => operation('work.start', { workOrderId: 'w-404' }),
      'not_found',
      'workOrderId',
    ],
    [
      'with a path as an id',
      () => operation('work.start', { workOrderId: '../../etc/passwd' }),
      'invalid',
      'workOrderId',
    ],
    ['for a lead only', () => operation('work.accept', onWork), 'role_missing', null],
    ['of negative labor', () => labor(-30), 'labor_not_positive', 'minutes'],
    ['of no labor', () => labor(0), 'labor_not_positive', 'minutes'],
    ['of labor to come', () => labor(120), 'labor_in_future', 'minutes'],
    ['of labor over 24 hours', () => labor(1441, '2026-01-01T00:00:00Z'), 'labor_too_long', 'minutes'],
    ['of labor as text', () => labor('90'), 'invalid', 'minutes'],
    ['of labor without an offset', () => labor(30, '2026-11-23T10:00:00'), 'invalid', 'startedAt'],
    ['of no parts', () => use(0), 'quantity_not_positive', 'quantity'],
    ['of parts below zero', () => use(-1_000), 'quantity_not_positive', 'quantity'],
    ['of over a million parts', () => use(2e9), 'quantity_too_large', 'quantity'],
    ['of more parts than can be counted', () => use(1e300), 'quantity_too_large', 'quantity'],
    [
      'of a reading that is no number',
      () => operation('reading.add', { ...onWork, pointId: 'point', value: '68' }),
      'invalid',
      'value',
    ],
    ['that finishes with something owed', () => operation('work.finish', onWork), 'state_forbids', null],
    [
      'of a text of 100,000 characters',
      () => operation('note.add', { ...onWork, text: 'x'.repeat(100_000) }),
      'text_too_long',
      'text',
    ],
    [
      'with control characters',
      () => operation('note.add', { ...onWork, text: 'a\u0000b' }),
      'control_characters',
      'text',
    ],
  ])('%s is refused at its field', async (_, made, code, field) => {
    const answer = await works.push(cookie, [made()]);
    expect(answer.statusCode).toBe(200);
    expect(codesOf(answer)).toEqual([code]);
    expect(isErrorCode(code) && catalogue[code].status).toBeLessThan(500);
    expect(answer.json<{ outcomes: { outcome: { field: string | null } }[] }>().outcomes[0]?.outcome.field).toBe(field);
  });

  it('on somebody else’s work is refused', async () => {
    const bobs = await works.signIn(bob);
    expect(codesOf(await works.push(bobs, [{ ...operation('work.start', onWork), by: bob.id }]))).toEqual([
      'work_order_not_yours',
    ]);
  });

  it('that drops work without saying why is refused', async () => {
    const lead = await works.signIn(lea);
    expect(
      codesOf(await works.push(lead, [{ ...operation('work.drop', { ...onWork, reason: ' ' }), by: lea.id }])),
    ).toEqual(['invalid']);
  });
});

describe('a request that never ends', () => {
  it('is given up after two minutes: Node counts the time of head and body', () => {
    expect(works.server.server).toMatchObject({ requestTimeout: 120_000 });
  });
});
