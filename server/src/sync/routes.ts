import type { WorkOrderId } from '@oilcan/core/kernel';
import type { Person } from '@oilcan/core/plant/people';
import { agreeOn, pushSchema, RANGE, readRange, type PushRequest } from '@oilcan/core/sync';
import type { FastifyInstance } from 'fastify';
import type { Knex } from 'knex';
import type { Clock } from '../clock';
import * as yup from 'yup';
import { answers, answersAs, shape } from '../docs/json-schema';
import { readRow, type StoredRow } from '../database/sql-records';
import { numbersOf } from '../numbers/reserve-numbers';
import type { ChangeEvents } from '../events/change-events';
import { pull, readWork } from './pull';
import { scopeOf } from './scope';
import { checkEnvelope } from './push';
import { PushQueue } from './push-queue';

const pullSchema = yup
  .object({
    since: yup.number().integer().min(0, 'since is a revision: 0 or above.').required(),
    filling: yup.boolean().default(false),
    protocol: yup
      .string()
      .matches(RANGE, 'A version of the protocol is a number, a range of them is like 6-7.')
      .required('Say which protocol you speak.'),
    device: yup.string().max(64),
    tablesAfter: yup.number().integer().min(0, 'tablesAfter is a version of the protocol.'),
  })
  .noUnknown()
  .required();

const workSchema = yup
  .object({
    id: yup
      .string()
      .strict()
      .required('Name the work order.')
      .matches(/^[A-Za-z0-9@._-]{1,64}$/, 'This is not the name of a work order.'),
  })
  .noUnknown()
  .required();

const pushedShape = shape.object({
  outcomes: shape.list(shape.object({ id: shape.text, outcome: shape.ref('Outcome') })),
  revision: shape.whole,
  now: shape.moment,
});

const pulledRows = {
  changes: shape.list(shape.ref('Change')),
  revision: shape.whole,
  hasMore: shape.flag,
  scope: shape.text,
  now: shape.moment,
  version: shape.whole,
};
const pulledShape = shape.object(pulledRows, {
  numbers: { type: 'object', additionalProperties: shape.list(shape.text) },
});

interface Options {
  readonly database: Knex;
  readonly clock: Clock;
  readonly events: ChangeEvents;
  /** Rows on a page of a pull, where it is not as many as usual. */
  readonly pageRows?: number;
}

/** Operations in, rows out, and the line on which phones hear of events. */
export async function syncRoutes(
  server: FastifyInstance,
  { database, clock, events, pageRows }: Options,
): Promise<void> {
  const pushes = new PushQueue(database, clock);
  // Open lines would hold the server open; onClose hooks run only after they are gone.
  server.addHook('preClose', async () => events.close());

  server.post<{ Body: PushRequest }>(
    '/operations',
    {
      schema: {
        summary: 'Send operations; each is answered with its outcome',
        response: answers('What became of each, in their order', pushedShape),
        body: pushSchema,
      },
    },
    async (request) => {
      const { person, device } = await server.sessionOf(request);
      checkEnvelope(request.body);
      const { operations } = request.body;
      const { answer, concerned, endedSessions } = await pushes.push({ person, device, operations });
      events.tell(answer.revision, concerned);
      events.endSessions(endedSessions);
      return answer;
    },
  );

  server.get<{
    Querystring: { since: number; filling: boolean; protocol: string; device?: string; tablesAfter?: number };
  }>(
    '/sync',
    {
      schema: {
        summary: 'Rows changed since a revision',
        response: answers('A page of changes', pulledShape),
        querystring: pullSchema,
      },
    },
    async (request, reply) => {
      const person = await server.personOf(request);
      const { since, filling, protocol, device, tablesAfter } = request.query;
      const version = agreeOn(readRange(protocol));
      reply.header('cache-control', 'no-store');
      const answer = await pull(database, person, { since, isFilling: filling, version, tablesAfter, pageRows }, clock);
      if (answer.hasMore || device === undefined) return answer;
      return { ...answer, numbers: await numbersOf(database, device, person, answer.now) };
    },
  );

  server.get<{ Params: { id: WorkOrderId } }>(
    '/work/:id',
    {
      schema: {
        summary: 'A work order with everything recorded on it',
        response: answers('Its rows', shape.object({ changes: shape.list(shape.ref('Change')) })),
        params: workSchema,
      },
    },
    async (request, reply) => {
      const person = await server.personOf(request);
      reply.header('cache-control', 'no-store');
      return readWork(database, person, request.params.id);
    },
  );

  server.get(
    '/news',
    {
      schema: {
        summary: 'Server-sent events: a revision whenever something changed that concerns me',
        response: answersAs('A stream without end', 'text/event-stream'),
      },
      // A question for the head alone would wait for an answer that never ends.
      exposeHeadRoute: false,
    },
    async (request, reply) => {
      const { person, session } = await server.sessionOf(request);
      const audiencesNow = async () => (await scopeOf(database, await personNow(database, person))).audiences;
      const audiences = new Set(await audiencesNow());
      reply.hijack();
      reply.raw.writeHead(200, {
        'content-type': 'text/event-stream; charset=utf-8',
        'cache-control': 'no-store',
        connection: 'keep-alive',
        'x-accel-buffering': 'no',
      });
      events.listen(reply.raw, { audiences, audiencesNow, session });
    },
  );
}

/** As they are now; who is not there any more hears of nothing. */
async function personNow(database: Knex, person: Person): Promise<Person> {
  const stored: StoredRow | undefined = await database<StoredRow>('people').where('id', person.id).first();
  return stored === undefined ? { ...person, siteIds: [] } : readRow('people', stored);
}
