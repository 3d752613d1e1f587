import { OilcanError } from '@oilcan/core/kernel';
import { hasRole } from '@oilcan/core/operations';
import type { FastifyInstance } from 'fastify';
import type { Knex } from 'knex';
import * as yup from 'yup';
import { answers, shape } from '../docs/json-schema';
import { readLog, type LogQuestion } from './read-log';

const moment = () =>
  yup.string().matches(/^\d{4}-\d\d-\d\dT\d\d:\d\d:\d\d(\.\d{3})?Z$/, 'Give a moment such as 2026-11-23T11:00:00Z.');

const logSchema = yup
  .object({
    thing: yup.string().matches(/^[A-Za-z]{1,32}:[A-Za-z0-9@._-]{1,100}$/, 'Name a thing like workOrders:w-1.'),
    by: yup.string().max(64),
    name: yup.string().max(64),
    from: moment(),
    to: moment(),
    before: yup.string().matches(/^\S{1,40} \S{1,64}$/, 'This is no place to go on from.'),
  })
  .noUnknown()
  .required();

const loggedShape = shape.object({
  id: shape.text,
  name: shape.text,
  by: shape.text,
  device: shape.text,
  deviceWords: shape.orNull(shape.text),
  at: shape.text,
  receivedAt: shape.moment,
  args: shape.any,
  outcome: shape.ref('Outcome'),
  changed: shape.orNull(
    shape.list(shape.object({ table: shape.text, id: shape.text, did: shape.text, fields: { type: 'object' } })),
  ),
});
const logShape = shape.object({ operations: shape.list(loggedShape), before: shape.orNull(shape.text) });

/** Who did what, for leads, on their sites. */
export async function logRoutes(server: FastifyInstance, { database }: { readonly database: Knex }): Promise<void> {
  server.get<{ Querystring: LogQuestion }>(
    '/log',
    {
      schema: {
        summary: 'Who did what: operations with what they changed, the newest first, for leads',
        response: answers('A page of operations', logShape),
        querystring: logSchema,
      },
    },
    async (request, reply) => {
      const person = await server.personOf(request);
      if (!hasRole(person, ['lead'])) throw new OilcanError('role_missing', { roles: 'lead' });
      reply.header('cache-control', 'no-store');
      return readLog(database, person, request.query);
    },
  );
}
