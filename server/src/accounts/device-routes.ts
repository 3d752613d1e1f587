import { OilcanError } from '@oilcan/core/kernel';
import type { FastifyInstance } from 'fastify';
import * as yup from 'yup';
import { answers, answersNothing, shape } from '../docs/json-schema';
import type { AccountOptions } from './account-options';
import { endSession, sessionsOf } from './sessions';

const sessionSchema = yup
  .object({
    id: yup
      .string()
      .strict()
      .required('Name the device.')
      .matches(/^[0-9a-f-]{32,36}$/, 'This is not the name of a device.'),
  })
  .noUnknown()
  .required();

const sessionsShape = shape.object({
  sessions: shape.list(
    shape.object({ id: shape.text, device: shape.text, signedInAt: shape.moment, lastUsedAt: shape.moment }),
  ),
  present: shape.text,
});

/** Where I am signed in, and signing out elsewhere. */
export function deviceRoutes(server: FastifyInstance, { database, clock, events }: AccountOptions): void {
  server.get(
    '/sessions',
    {
      schema: { summary: 'Where I am signed in, the last used first', response: answers('My devices', sessionsShape) },
    },
    async (request, reply) => {
      const { person, session } = await server.sessionOf(request);
      reply.header('cache-control', 'no-store');
      return { sessions: await sessionsOf(database, person.id, clock()), present: session };
    },
  );

  server.delete<{ Params: { id: string } }>(
    '/sessions/:id',
    {
      schema: {
        summary: 'Sign out another device of mine',
        response: answersNothing('It is signed out'),
        params: sessionSchema,
      },
    },
    async (request, reply) => {
      const { person } = await server.sessionOf(request);
      if (!(await endSession(database, person.id, request.params.id))) {
        throw new OilcanError('not_found', { what: 'device' });
      }
      events.endSessions(new Set([request.params.id]));
      return reply.code(204).send();
    },
  );
}
