import { convertSchema } from '@sodaru/yup-to-json-schema';
import * as yup from 'yup';

export type JsonSchema = Readonly<Record<string, unknown>>;

/** A Yup schema as JSON Schema: what it takes, and that it takes no more. */
export function toJsonSchema(schema: unknown): JsonSchema {
  return yup.isSchema(schema) ? exact(convertSchema(schema as yup.AnySchema)) : {};
}

/**
 * Without what Yup only fills in, and with what `noUnknown` and `strict` mean, which the conversion leaves out: all of our
 * objects take the fields that they name and no others.
 */
function exact(schema: unknown): JsonSchema {
  if (typeof schema !== 'object' || schema === null) return {};
  const { default: _default, properties, items, type, ...rest } = schema as Record<string, unknown>;
  // One of several shapes says all that there is to say.
  if ('oneOf' in rest) return { oneOf: shapesIn(rest['oneOf']) };
  return {
    ...(Array.isArray(type) && type.length === 0 ? {} : { type }),
    ...rest,
    ...(items === undefined ? {} : { items: exact(items) }),
    ...(typeof properties !== 'object' || properties === null
      ? {}
      : {
          properties: Object.fromEntries(Object.entries(properties).map(([name, each]) => [name, exact(each)])),
          additionalProperties: false,
        }),
  };
}

/** The shapes of a `variantField`, which are schemas themselves. */
function shapesIn(oneOf: unknown): unknown {
  const shapes: unknown = typeof oneOf === 'function' ? (oneOf as () => unknown)() : oneOf;
  return Array.isArray(shapes) ? shapes.map((each) => (yup.isSchema(each) ? toJsonSchema(each) : each)) : shapes;
}

const text: JsonSchema = { type: 'string' };

/** Shapes of answers, for the description of the API. */
export const shape = {
  text,
  whole: { type: 'integer' } as JsonSchema,
  flag: { type: 'boolean' } as JsonSchema,
  moment: { type: 'string', format: 'date-time' } as JsonSchema,
  /** What a row or another document holds is said elsewhere. */
  any: {} as JsonSchema,
  orNull: (of: JsonSchema): JsonSchema => ({ anyOf: [of, { type: 'null' }] }),
  list: (items: JsonSchema): JsonSchema => ({ type: 'array', items }),
  object: (
    properties: Readonly<Record<string, JsonSchema>>,
    optional: Readonly<Record<string, JsonSchema>> = {},
  ): JsonSchema => ({
    type: 'object',
    properties: { ...properties, ...optional },
    required: Object.keys(properties),
  }),
  ref: (name: string): JsonSchema => ({ $ref: `#/components/schemas/${name}` }),
};

/** What a route answers when all is well: a body of JSON. */
export function answers(description: string, schema: JsonSchema): { readonly 200: JsonSchema } {
  return { 200: { description, content: { 'application/json': { schema } } } };
}

/** What a route answers with nothing in it. */
export function answersNothing(description: string): { readonly 204: JsonSchema } {
  return { 204: { description, type: 'null' } };
}

/** What a route answers that is no JSON. */
export function answersAs(description: string, mediaType: string): { readonly 200: JsonSchema } {
  return { 200: { description, content: { [mediaType]: { schema: { type: 'string' } } } } };
}
