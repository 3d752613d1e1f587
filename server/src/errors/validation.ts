import { inheritedKeyIn, NOT_PLAIN, OilcanError } from '@oilcan/core/kernel';
import type { FastifyInstance } from 'fastify';
import plugin from 'fastify-plugin';
import * as yup from 'yup';

/** A field that the schema does not name: Yup would leave it out of what it reads, and say nothing. */
function unknownKeyIn(schema: yup.Schema, data: unknown): string | null {
  if (!(schema instanceof yup.ObjectSchema) || typeof data !== 'object' || data === null) return null;
  return Object.keys(data).find((key) => !Object.hasOwn(schema.fields, key)) ?? null;
}

/** Routes give Yup schemas; what does not fit is refused with the catalogue's `invalid` at its field. */
async function validation(server: FastifyInstance): Promise<void> {
  server.setValidatorCompiler<yup.Schema>(({ schema }) => (data: unknown) => {
    try {
      // A list of operations is looked into one by one, so that one strange one does not spoil the others.
      const strange = inheritedKeyIn(data) ?? unknownKeyIn(schema, data);
      if (strange !== null) return { error: new OilcanError('invalid', { reason: NOT_PLAIN }, strange) };
      return { value: schema.validateSync(data) };
    } catch (error) {
      if (!(error instanceof yup.ValidationError)) throw error;
      const field = error.path === '' ? undefined : error.path;
      return { error: new OilcanError('invalid', { reason: error.errors[0] ?? error.message }, field) };
    }
  });
  server.setSerializerCompiler(() => (data: unknown) => JSON.stringify(data));
}

export const yupValidation = plugin(validation, { name: 'validation' });
