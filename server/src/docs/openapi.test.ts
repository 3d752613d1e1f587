import SwaggerParser from '@apidevtools/swagger-parser';
import Ajv2020 from 'ajv/dist/2020';
import addFormats from 'ajv-formats';
import fc from 'fast-check';
import { asId, type PersonId } from '@oilcan/core/kernel';
import { roles } from '@oilcan/core/operations';
import { isOperationName, operations } from '@oilcan/core/registry/operations';
import { PROTOCOL, PUSH_LIMIT, type PushAnswer } from '@oilcan/core/sync';
import { anOperation, aPerson, aStep, put, smallWorks } from '@oilcan/core/testing';
import { startTestServer, type TestServer } from '../testing/test-server';
import { present } from '../testing/test-clock';

type Schema = Readonly<Record<string, unknown>>;
interface Parameter {
  readonly name: string;
  readonly in: 'path' | 'query';
  readonly required?: boolean;
  readonly schema: Schema;
}
interface Route {
  readonly parameters?: readonly Parameter[];
  readonly requestBody?: { readonly content: Readonly<Record<string, { readonly schema: Schema }>> };
  readonly responses: Readonly<Record<string, { readonly content?: Readonly<Record<string, unknown>> }>>;
}
interface Description {
  readonly paths: Readonly<Record<string, Readonly<Record<string, Route>>>>;
  readonly components: { readonly schemas: Readonly<Record<string, Schema>> };
}

const everyRole = aPerson({ id: asId<PersonId>('rolf'), name: 'Rolf', roles });
let works: TestServer;
let cookie: string;
let api: Description;
let ajv: Ajv2020;
beforeAll(async () => {
  works = await startTestServer([...smallWorks({}, [aStep(1)]), put('people', everyRole)], {
    freePasswordTries: 100_000,
    wrongPasswordsPerAddress: 100_000,
  });
  cookie = await works.signIn(everyRole);
  const answer = await works.ask(null, { url: '/api/docs/json' });
  expect(answer.statusCode).toBe(200);
  api = answer.json<Description>();
  ajv = new Ajv2020({ strict: false });
  addFormats(ajv);
  ajv.addSchema({ $id: 'api', components: api.components });
});
afterAll(() => works.close());

const names = Object.keys(operations).filter(isOperationName);
const compiled = new Map<Schema, (value: unknown) => boolean>();

function allows(schema: Schema, value: unknown): boolean {
  const check =
    compiled.get(schema) ?? ajv.compile(JSON.parse(JSON.stringify(schema).replaceAll('"#/', '"api#/')) as Schema);
  compiled.set(schema, check);
  return check(value);
}

/** What a schema describes, made by chance. */
function valuesOf(schema: Schema): fc.Arbitrary<unknown> {
  const oneOf = schema['oneOf'] as readonly Schema[] | undefined;
  if (oneOf !== undefined) return fc.oneof(...oneOf.map(valuesOf));
  if ('const' in schema) return fc.constant(schema['const']);
  if (Array.isArray(schema['enum'])) return fc.constantFrom(...(schema['enum'] as unknown[]));
  const { type } = schema;
  if (Array.isArray(type)) return fc.oneof(...type.map((each: unknown) => valuesOf({ ...schema, type: each })));
  const minimum = Number(schema['minimum'] ?? -1e12);
  const maximum = Number(schema['maximum'] ?? 1e12);
  switch (type) {
    case 'string':
      return textsOf(schema);
    case 'integer':
      return fc.integer({ min: Math.max(minimum, -2_147_483_648), max: Math.min(maximum, 2_147_483_647) });
    case 'number':
      return fc.double({ min: minimum, max: maximum, noNaN: true });
    case 'boolean':
      return fc.boolean();
    case 'null':
      return fc.constant(null);
    case 'array':
      return fc.array(valuesOf(schema['items'] as Schema), {
        minLength: Number(schema['minItems'] ?? 0),
        maxLength: Math.min(Number(schema['maxItems'] ?? 4), 4),
      });
    case 'object': {
      const properties = (schema['properties'] ?? {}) as Readonly<Record<string, Schema>>;
      return fc.record(Object.fromEntries(Object.entries(properties).map(([name, each]) => [name, valuesOf(each)])));
    }
    default:
      throw new Error(`Nobody knows how to make ${JSON.stringify(schema)}.`);
  }
}

function textsOf(schema: Schema): fc.Arbitrary<string> {
  const maxLength = Math.min(Number(schema['maxLength'] ?? 40), 40);
  const minLength = Number(schema['minLength'] ?? 0);
  const pattern = typeof schema['pattern'] === 'string' ? new RegExp(schema['pattern'], 'u') : null;
  if (schema['format'] === 'date-time' || schema['format'] === 'date') {
    const within = { min: new Date('1902-01-01'), max: new Date('2190-01-01'), noInvalidDate: true };
    const isDay = schema['format'] === 'date';
    return fc.date(within).map((date) => (isDay ? date.toISOString().slice(0, 10) : date.toISOString()));
  }
  if (schema['format'] === 'email') return fc.constantFrom('eva@example.org', 'a.b+c@lift.example.com');
  const isPlain = pattern !== null && !pattern.source.includes('(?');
  const texts = isPlain ? fc.stringMatching(pattern) : fc.string({ unit: 'grapheme', minLength, maxLength });
  return texts.filter((text) => text.length <= maxLength + 24 && (pattern === null || pattern.test(text)));
}

/** A value and the same with one thing wrong with it. */
const brokenOf = (values: fc.Arbitrary<unknown>): fc.Arbitrary<unknown> =>
  fc
    .tuple(values, fc.nat(), fc.constantFrom<unknown>(undefined, 7.5, 'x\u202ey', 'z'.repeat(20_000), [], {}, true))
    .map(([value, at, wrong]) => {
      const given = { ...(value as Record<string, unknown>) };
      const keys = [...Object.keys(given), 'nobody knows this'];
      given[keys[at % keys.length] ?? ''] = wrong;
      // What is undefined is left out on its way.
      return JSON.parse(JSON.stringify(given)) as unknown;
    });

const refusedForTheirForm = ['invalid', 'control_characters', 'text_too_long'];

async function outcomesOf(given: readonly (readonly [string, unknown])[]): Promise<PushAnswer['outcomes']> {
  const made = given.map(([name, args]) => ({
    ...anOperation('note.add', { workOrderId: 'w' as never, text: '' }),
    id: nextId(),
    name,
    args,
    at: present,
    by: everyRole.id,
  }));
  const outcomes: PushAnswer['outcomes'][number][] = [];
  for (let start = 0; start < made.length; start += PUSH_LIMIT) {
    const answer = await works.push(cookie, made.slice(start, start + PUSH_LIMIT));
    expect(answer.statusCode).toBe(200);
    outcomes.push(...answer.json<PushAnswer>().outcomes);
  }
  return outcomes;
}

let count = 0;
const nextId = (): string => `01930000-0000-7000-9000-${(count += 1).toString(16).padStart(12, '0')}`;

describe('the description of the API', () => {
  it('is valid OpenAPI 3.1', async () => {
    await expect(SwaggerParser.validate(JSON.parse(JSON.stringify(api)) as never)).resolves.toBeDefined();
  });

  it('has every route with its answers and problems, and every operation with its arguments', () => {
    const routes = Object.entries(api.paths).flatMap(([path, methods]) =>
      Object.keys(methods).map((method) => `${method} ${path}`),
    );
    expect(routes.sort()).toEqual(
      [
        'get /api/about',
        'delete /api/calendar',
        'get /api/calendar',
        'get /api/calendar/{file}',
        'get /api/codes/{code}',
        'post /api/calendar',
        'get /api/files/{id}',
        'get /api/files/{id}/received',
        'get /api/find',
        'get /api/log',
        'get /api/mails',
        'get /api/mails/undelivered',
        'get /api/news',
        'get /api/owed',
        'get /api/parts/{part}/movements',
        'get /api/past',
        'get /api/session',
        'get /api/sessions',
        'get /api/sync',
        'get /api/work/{id}',
        'get /healthz',
        'get /readyz',
        'post /api/mails/undelivered/{id}/again',
        'post /api/operations',
        'post /api/session',
        'put /api/files/{id}',
        'put /api/password',
        'delete /api/session',
        'delete /api/sessions/{id}',
      ].sort(),
    );
    for (const methods of Object.values(api.paths)) {
      for (const { responses } of Object.values(methods)) {
        expect(Object.keys(responses).some((status) => status.startsWith('2'))).toBe(true);
        expect(Object.keys(responses['default']?.content ?? {})).toEqual(['application/problem+json']);
      }
    }
    for (const name of names) expect(api.components.schemas[name]).toMatchObject({ additionalProperties: false });
  });
});

describe('operations', () => {
  it.each(names.map((name) => [name]))('%s: what is described is applied, and nothing else is', async (name) => {
    const schema = api.components.schemas[name] ?? {};
    const good = fc.sample(valuesOf(schema), { numRuns: 40, seed: 1 });
    const bad = fc.sample(brokenOf(valuesOf(schema)), { numRuns: 60, seed: 2 }).filter((args) => !allows(schema, args));
    expect(good.every((args) => allows(schema, args))).toBe(true);
    expect(bad.length).toBeGreaterThan(20);
    for (const [index, { outcome }] of (await outcomesOf(good.map((args) => [name, args]))).entries()) {
      const isRefusedForItsForm = !outcome.ok && refusedForTheirForm.includes(outcome.code);
      expect([good[index], isRefusedForItsForm && outcome]).toEqual([good[index], false]);
    }
    for (const [index, { outcome }] of (await outcomesOf(bad.map((args) => [name, args]))).entries())
      expect([bad[index], outcome.ok]).toEqual([bad[index], false]);
  });
});

describe('routes', () => {
  /** Asks a route with these values in its path, its query and its body. */
  const ask = (method: string, path: string, values: Asked) => {
    const address = path.replace(/\{(\w+)\}/g, (_, name: string) => encodeURIComponent(String(values.path[name])));
    const query = new URLSearchParams(
      Object.entries(values.query).map(([name, value]): [string, string] => [name, String(value)]),
    );
    return works.ask(cookie, {
      method: method.toUpperCase() as 'GET',
      url: `${address}?${query.toString()}`,
      ...(values.body === undefined ? {} : { payload: values.body as never }),
    });
  };
  interface Asked {
    readonly path: Readonly<Record<string, unknown>>;
    readonly query: Readonly<Record<string, unknown>>;
    readonly body?: unknown;
  }
  const described = (route: Route, where: Parameter['in'], isGood: boolean): fc.Arbitrary<Record<string, unknown>> => {
    const parameters = (route.parameters ?? []).filter((each) => each.in === where);
    const made = fc.record(Object.fromEntries(parameters.map(({ name, schema }) => [name, valuesOf(schema)])));
    const wrong = fc.constantFrom('', 'x'.repeat(300), '-1', '1.5', 'ü\u202e', '%', '__proto__', '../../etc', '1e400');
    if (isGood || parameters.length === 0) return made as fc.Arbitrary<Record<string, unknown>>;
    return fc.tuple(made, fc.nat(), wrong).map(([good, at, bad]) => {
      const name = parameters[at % parameters.length]?.name ?? '';
      return { ...good, [name]: bad };
    });
  };
  // A stream without end; signing out would end the test's own session; a change of the password its account.
  const leftOut = ['get /api/news', 'delete /api/session', 'put /api/password'];

  it('take what is described, refuse what is not, and never fail', async () => {
    for (const [path, methods] of Object.entries(api.paths)) {
      for (const [method, route] of Object.entries(methods)) {
        if (leftOut.includes(`${method} ${path}`)) continue;
        const ref = route.requestBody?.content['application/json']?.schema;
        const body = ref === undefined || '$ref' in ref ? null : ref;
        for (const isGood of [true, false]) {
          const asked = fc.sample(
            fc.tuple(
              described(route, 'path', isGood),
              described(route, 'query', isGood),
              body === null ? fc.constant(undefined) : isGood ? valuesOf(body) : brokenOf(valuesOf(body)),
            ),
            { numRuns: 15, seed: 3 },
          );
          for (const [inPath, query, payload] of asked) {
            // Of the two of which a past may be, exactly one is named; OpenAPI has no words for that.
            if (path === '/api/past' && isGood) Reflect.deleteProperty(query, 'place');
            if (path === '/api/sync' && isGood) query['protocol'] = PROTOCOL.newest;
            const answer = await ask(method, path, { path: inPath, query, body: payload });
            const code = answer.statusCode >= 400 ? answer.json<{ code: string }>().code : 'fine';
            expect([method, path, inPath, query, payload, answer.statusCode < 500]).toEqual([
              method,
              path,
              inPath,
              query,
              payload,
              true,
            ]);
            const isAboutForm = ['invalid', 'malformed_json', 'code_unreadable'].includes(code);
            const isUpload = method === 'put' || path === '/api/operations';
            if (isGood && !isUpload) expect([path, query, payload, isAboutForm]).toEqual([path, query, payload, false]);
            if (!isGood && body !== null && !allows(body, payload))
              expect([path, payload, code]).toEqual([path, payload, 'invalid']);
          }
        }
      }
    }
  });

  it('answer keys that every object has, deep bodies and odd heads in a clear sentence', async () => {
    const deep = `${'{"a":'.repeat(5_000)}1${'}'.repeat(5_000)}`;
    const bodies = ['{"constructor":1}', '{"toString":1}', '{"__proto__":{}}', '{"valueOf":1}', deep];
    for (const url of ['/api/session', '/api/operations']) {
      for (const payload of bodies) {
        const answer = await works.ask(cookie, {
          method: 'POST',
          url,
          payload,
          headers: { 'content-type': 'application/json' },
        });
        expect([url, payload.slice(0, 20), answer.statusCode]).toEqual([url, payload.slice(0, 20), 400]);
      }
    }
    for (const key of ['constructor', 'toString', 'valueOf', '__proto__', 'hasOwnProperty']) {
      for (const path of ['/api/sync?since=0&protocol=5&', '/api/past?asset=a&']) {
        const answer = await works.ask(cookie, { url: `${path}${key}=1` });
        expect([path, key, answer.statusCode]).toEqual([path, key, 400]);
      }
    }
    const [sample] = [anOperation('note.add', { workOrderId: 'w' as never, text: '' }, { by: everyRole.id })];
    const batch = JSON.stringify({ protocol: PROTOCOL.newest, operations: [sample, { ...sample, id: nextId() }] });
    const answer = await works.ask(cookie, {
      method: 'POST',
      url: '/api/operations',
      payload: batch.replace(JSON.stringify(sample.args), deep),
      headers: { 'content-type': 'application/json' },
    });
    expect(answer.json<PushAnswer>().outcomes.map(({ outcome }) => outcome.ok)).toEqual([false, false]);
    const outcomes = await outcomesOf([
      ['kit-list.tick', { ownerId: 'ann', line: 'constructor', isIn: true }],
      ['kit-list.tick', { ownerId: 'ann', line: '__proto__', isIn: true }],
      ['kit-list.tick', { ownerId: 'ann', line: 'constructor', isIn: false }],
    ]);
    expect(outcomes).toHaveLength(3);
    expect((await works.pull(cookie)).changes.length).toBeGreaterThan(0);
    expect((await works.ask(cookie, { method: 'HEAD', url: '/api/news' })).statusCode).toBe(404);
  });
});
