import { instantFromMillis, OilcanError } from '@oilcan/core/kernel';
import type { FastifyInstance } from 'fastify';
import type { Knex } from 'knex';
import type { Clock } from '../clock';
import * as yup from 'yup';
import { answers, answersAs, answersNothing, shape } from '../docs/json-schema';
import { readRow, type StoredRow } from '../database/sql-records';
import { calendarOf, dueWorkOf } from './due-work';
import { linkOf, makeLink, personOfLink, withdrawLink } from './links';

const fileSchema = yup
  .object({
    file: yup
      .string()
      .strict()
      .required('Give the name of the calendar.')
      .matches(/^[A-Za-z0-9_-]{43}\.ics$/, 'This is not the name of a calendar.'),
  })
  .noUnknown()
  .required();

const linkShape = shape.object({
  link: shape.orNull(shape.object({ madeAt: shape.moment, readAt: shape.orNull(shape.moment) })),
});

interface Options {
  readonly database: Knex;
  readonly clock: Clock;
}

/** My due work as a calendar that other programs read, under a link that only its person knows and can withdraw. */
export async function calendarRoutes(server: FastifyInstance, { database, clock }: Options): Promise<void> {
  server.get(
    '/calendar',
    {
      schema: {
        summary: 'Whether I have a calendar link',
        response: answers('Since when, and when it was read', linkShape),
      },
    },
    async (request, reply) => {
      const person = await server.personOf(request);
      reply.header('cache-control', 'no-store');
      return { link: await linkOf(database, person.id) };
    },
  );

  server.post(
    '/calendar',
    {
      schema: {
        summary: 'Make a calendar link; the one before leads nowhere any more',
        response: answers('Its path, which is told only once', shape.object({ path: shape.text })),
      },
    },
    async (request, reply) => {
      const person = await server.personOf(request);
      reply.header('cache-control', 'no-store');
      const token = await makeLink(database, person.id, instantFromMillis(clock()));
      return { path: `/api/calendar/${token}.ics` };
    },
  );

  server.delete(
    '/calendar',
    { schema: { summary: 'Withdraw my calendar link', response: answersNothing('It leads nowhere any more') } },
    async (request, reply) => {
      const person = await server.personOf(request);
      await withdrawLink(database, person.id);
      return reply.code(204).send();
    },
  );

  server.get<{ Params: { file: string } }>(
    '/calendar/:file',
    {
      schema: {
        summary: 'The due work of whoever made this link, as iCalendar; no session is needed',
        response: answersAs('Their open work with a day', 'text/calendar'),
        params: fileSchema,
      },
    },
    async (request, reply) => {
      const now = instantFromMillis(clock());
      const personId = await personOfLink(database, request.params.file.replace('.ics', ''), now);
      const stored: StoredRow | undefined =
        personId === undefined ? undefined : await database<StoredRow>('people').where('id', personId).first();
      if (stored === undefined) throw new OilcanError('not_found', { what: 'calendar' });
      const person = readRow('people', stored);
      const address = `${request.protocol}://${request.host}`;
      const works = await dueWorkOf(database, person);
      return reply
        .header('cache-control', 'private, no-store')
        .header('x-robots-tag', 'noindex')
        .header('referrer-policy', 'no-referrer')
        .header('content-type', 'text/calendar; charset=utf-8')
        .send(await calendarOf(database, works, { person, address, now }));
    },
  );
}
