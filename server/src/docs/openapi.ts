import swagger from '@fastify/swagger';
import swaggerUi from '@fastify/swagger-ui';
import { roles } from '@oilcan/core/operations';
import { errorCodes, tableNames } from '@oilcan/core/registry';
import { isOperationName, operationNamed, operations } from '@oilcan/core/registry/operations';
import { PROTOCOL, PUSH_LIMIT } from '@oilcan/core/sync';
import type { FastifyInstance, FastifySchema } from 'fastify';
import plugin from 'fastify-plugin';
import * as yup from 'yup';
import { shape, toJsonSchema, type JsonSchema } from './json-schema';

const operationNames = Object.keys(operations).filter(isOperationName);
const NAME: JsonSchema = { type: 'string', minLength: 1, maxLength: 64 };
const HUNDRED_YEARS = 100 * 365 * 24 * 3_600_000;

/** The form of every operation; what its arguments are depends on its name. */
const operation: JsonSchema = {
  type: 'object',
  properties: {
    id: { type: 'string', pattern: '^[0-9a-f]{8}-[0-9a-f]{4}-7[0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$' },
    name: { enum: operationNames },
    args: { type: 'object' },
    at: { type: 'string', format: 'date-time', description: 'When it was done, by the clock of the device.' },
    ahead: {
      type: 'integer',
      minimum: -HUNDRED_YEARS,
      maximum: HUNDRED_YEARS,
      description: 'Milliseconds that the clock of the device was ahead.',
    },
    knownUntil: {
      type: 'string',
      format: 'date-time',
      description: 'Up to when its person could know of others, UTC.',
    },
    seenRevision: {
      type: 'integer',
      minimum: 0,
      description:
        'The revision up to which the device had read all that the server wrote; left out where it cannot say.',
    },
    by: NAME,
    device: NAME,
  },
  required: ['id', 'name', 'args', 'at', 'ahead', 'knownUntil', 'by', 'device'],
  additionalProperties: false,
  oneOf: operationNames.map((name) => ({ properties: { name: { const: name }, args: shape.ref(name) } })),
};

const problem: JsonSchema = {
  description: 'RFC 9457 problem details, with a code of the one catalogue of errors.',
  ...shape.object({
    type: shape.text,
    title: shape.text,
    status: shape.whole,
    code: { enum: errorCodes },
    values: { type: 'object' },
    field: shape.orNull(shape.text),
    instance: shape.text,
  }),
};

/** A row that was put, or one that is gone. */
const change: JsonSchema = shape.object({
  table: { enum: tableNames },
  id: shape.text,
  row: shape.orNull({ type: 'object' }),
});

const outcome: JsonSchema = {
  oneOf: [
    { type: 'object', properties: { ok: { const: true } }, required: ['ok'] },
    shape.object({
      ok: { const: false },
      code: { enum: errorCodes },
      values: { type: 'object' },
      field: shape.orNull(shape.text),
    }),
  ],
};

const person: JsonSchema = shape.object({
  id: shape.text,
  name: shape.text,
  roles: shape.list({ enum: roles }),
  siteIds: shape.list(shape.text),
  tradeId: shape.text,
});

const push: JsonSchema = {
  type: 'object',
  properties: {
    protocol: { type: 'integer' },
    operations: { type: 'array', minItems: 1, maxItems: PUSH_LIMIT, items: shape.ref('Operation') },
  },
  required: ['protocol', 'operations'],
  additionalProperties: false,
};

/** What each operation takes, by its name, and the shapes that several routes share. */
function components(): Record<string, JsonSchema> {
  return {
    Operation: operation,
    Push: push,
    Outcome: outcome,
    Change: change,
    Person: person,
    Problem: problem,
    ...Object.fromEntries(
      operationNames.map((name) => {
        const { label, roles: of, schema } = operationNamed(name);
        const description = `For a ${of.join(' or ')}: ${label}.`;
        return [name, { ...toJsonSchema(schema), title: name, description }];
      }),
    ),
  };
}

/** What any route answers when something is wrong. */
const whenWrong = {
  default: {
    description: 'What is wrong, and how to go on',
    content: { 'application/problem+json': { schema: shape.ref('Problem') } },
  },
};

function transformed(schema: FastifySchema): FastifySchema {
  const { body, querystring, params, response, ...rest } = schema;
  return {
    ...rest,
    ...(body === undefined ? {} : { body: bodyOf(body) }),
    ...(querystring === undefined ? {} : { querystring: toJsonSchema(querystring) }),
    ...(params === undefined ? {} : { params: toJsonSchema(params) }),
    response: { ...(response as object | undefined), ...whenWrong },
  };
}

/** A body that is one of the shared shapes is named by it. */
function bodyOf(body: unknown): JsonSchema {
  const named: unknown = yup.isSchema(body) ? (body as yup.AnySchema).meta()?.['describedAs'] : undefined;
  return typeof named === 'string' ? shape.ref(named) : toJsonSchema(body);
}

/** The API's description, made from the routes: pages at `/api/docs`, JSON at `/api/docs/json`. */
async function describe(server: FastifyInstance): Promise<void> {
  await server.register(swagger, {
    openapi: {
      openapi: '3.1.0',
      info: {
        title: 'Oilcan',
        version: String(PROTOCOL.newest),
        description:
          'Changes go in as operations (POST /api/operations) and come back as rows (GET /api/sync). ' +
          'The arguments of every operation are under Schemas, by its name. Errors are RFC 9457 problem details.',
      },
      servers: [{ url: '/' }],
      components: {
        schemas: components() as never,
        securitySchemes: { session: { type: 'apiKey', in: 'cookie', name: 'oilcan_session' } },
      },
      security: [{ session: [] }],
    },
    transform: ({ schema, url }) => {
      const isPage = url.startsWith('/api/docs') || schema === undefined;
      return isPage ? { schema: { hide: true } as FastifySchema, url } : { schema: transformed(schema), url };
    },
  });
  await server.register(swaggerUi, { routePrefix: '/api/docs', staticCSP: false });
}

export const apiDescription = plugin(describe, { name: 'api-description' });
