import swagger from '@fastify/swagger';
import swaggerUi from '@fastify/swagger-ui';
import { definitionOf, isOperationName, operations, PROTOCOL_VERSION } from '@oilcan/core';
import { convertSchema } from '@sodaru/yup-to-json-schema';
import type { FastifyInstance } from 'fastify';
import plugin from 'fastify-plugin';
import * as yup from 'yup';

type JsonSchema = Record<string, unknown>;

function toJsonSchema(schema: unknown): JsonSchema {
  return yup.isSchema(schema) ? (convertSchema(schema as yup.AnySchema) as JsonSchema) : {};
}

/** What each operation takes, by its name. */
function operationSchemas(): Record<string, JsonSchema> {
  return Object.fromEntries(
    Object.keys(operations)
      .filter(isOperationName)
      .map((name) => [name, { ...toJsonSchema(definitionOf(name).schema), title: name }]),
  );
}

/** The API's description, made from the routes: pages at `/api/docs`, JSON at `/api/docs/json`. */
async function describe(server: FastifyInstance): Promise<void> {
  await server.register(swagger, {
    openapi: {
      openapi: '3.1.0',
      info: {
        title: 'Oilcan',
        version: String(PROTOCOL_VERSION),
        description:
          'Changes go in as operations (POST /api/operations) and come back as rows (GET /api/sync). ' +
          'The arguments of every operation are under Schemas, by its name. Errors are RFC 9457 problem details.',
      },
      components: { schemas: operationSchemas() },
    },
    transform: ({ schema, url }) => {
      if (schema === undefined) return { schema: {}, url };
      const { body, querystring, ...rest } = schema;
      return {
        url,
        schema: {
          ...rest,
          ...(body === undefined ? {} : { body: toJsonSchema(body) }),
          ...(querystring === undefined ? {} : { querystring: toJsonSchema(querystring) }),
        },
      };
    },
  });
  await server.register(swaggerUi, { routePrefix: '/api/docs', staticCSP: false });
}

export const apiDescription = plugin(describe, { name: 'api-description' });
