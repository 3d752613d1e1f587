import { NOT_PLAIN, OilcanError, strangeIn } from '@oilcan/core';
import type { FastifyInstance } from 'fastify';
import plugin from 'fastify-plugin';
import * as yup from 'yup';

/** Routes give Yup schemas; what does not fit is refused with the catalogue's `invalid` at its field. */
async function validation(server: FastifyInstance): Promise<void> {
  server.setValidatorCompiler<yup.Schema>(({ schema }) => (data: unknown) => {
    try {
      const strange = strangeIn(data);
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
