import fastify, { type FastifyInstance } from 'fastify';
import type { Knex } from 'knex';
import { signedInPeople } from '../accounts/authentication';
import { speakHttp } from '../speak-http';
import type { Clock } from '../clock';
import { dialectOf } from '../database/dialects';
import { ChangeEvents } from '../events/change-events';
import { syncRoutes } from '../sync/routes';

/** One server, as phones reach it. */
export type PhoneDoor = FastifyInstance;

interface Options {
  readonly clock: Clock;
  /** Rows on a page of a pull. */
  readonly pageRows: number;
}

/** A server's own routes for operations and rows and nothing else of it: it stands in a tenth of the time of the whole. */
export async function openPhoneDoor(database: Knex, { clock, pageRows }: Options): Promise<PhoneDoor> {
  const server = fastify({ logger: false });
  await speakHttp(server);
  await server.register(signedInPeople, { database, clock, isCookieSecure: false });
  const events = new ChangeEvents(dialectOf(database).channel(database));
  await server.register(syncRoutes, { prefix: '/api', database, clock, events, pageRows });
  return server;
}
