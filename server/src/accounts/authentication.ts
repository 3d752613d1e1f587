import { OilcanError } from '@oilcan/core/kernel';
import type { Person } from '@oilcan/core/plant/people';
import type { FastifyInstance, FastifyReply, FastifyRequest } from 'fastify';
import plugin from 'fastify-plugin';
import type { Knex } from 'knex';
import type { Clock } from '../clock';
import { readRow, type StoredRow } from '../database/sql-records';
import { SESSION_COOKIE, SESSION_DAYS, sessionOfToken } from './sessions';

interface SignedIn {
  readonly person: Person;
  /** The name of the session, which is no secret. */
  readonly session: string;
  /** Its browser and system in words. */
  readonly device: string;
}

declare module 'fastify' {
  interface FastifyRequest {
    /** Whether this request made the session last anew. */
    isSessionRenewed: boolean;
  }
  interface FastifyContextConfig {
    /** Nobody is signed in there: a form may come from anywhere, also from a page that does not say from where. */
    readonly isForEverybody?: boolean;
  }
  interface FastifyInstance {
    /** The person who asks, and in which session. Throws `not_signed_in` or `session_expired`. */
    sessionOf(request: FastifyRequest): Promise<SignedIn>;
    /** The person who asks. Throws as `sessionOf`. */
    personOf(request: FastifyRequest): Promise<Person>;
  }
}

interface Options {
  readonly database: Knex;
  readonly clock: Clock;
  readonly isCookieSecure: boolean;
}

/** The session's cookie goes where the browser keeps it for as long as the session lasts without being used. */
export function giveCookie(reply: FastifyReply, token: string, isSecure: boolean): void {
  reply.setCookie(SESSION_COOKIE, token, {
    path: '/',
    httpOnly: true,
    sameSite: 'strict',
    secure: isSecure,
    maxAge: SESSION_DAYS * 24 * 60 * 60,
  });
}

async function authentication(server: FastifyInstance, { database, clock, isCookieSecure }: Options): Promise<void> {
  server.decorateRequest('isSessionRenewed', false);
  const sessionOf = async (request: FastifyRequest): Promise<SignedIn> => {
    const token = request.cookies[SESSION_COOKIE];
    if (token === undefined || token === '') throw new OilcanError('not_signed_in');
    const session = await sessionOfToken(database, token, clock());
    if (session === undefined) throw new OilcanError('session_expired');
    request.isSessionRenewed = session.isRenewed;
    const stored = await database<StoredRow>('people').where('id', session.personId).first();
    if (stored === undefined) throw new OilcanError('session_expired');
    return { person: readRow('people', stored), session: session.id, device: session.device };
  };
  server.decorate('sessionOf', sessionOf);
  server.decorate('personOf', async (request: FastifyRequest) => (await sessionOf(request)).person);

  // The session counts from its last use, and so does what the browser keeps of it.
  server.addHook('onSend', async (request, reply) => {
    const token = request.cookies[SESSION_COOKIE];
    // Whoever signs out has been given another.
    if (!request.isSessionRenewed || token === undefined || reply.getHeader('set-cookie') !== undefined) return;
    giveCookie(reply, token, isCookieSecure);
  });

  // The cookie is SameSite=Strict already; this also refuses what an old browser would send from elsewhere.
  server.addHook('onRequest', async (request) => {
    if (request.routeOptions.config.isForEverybody === true) return;
    const origin = request.headers.origin;
    if (request.method === 'GET' || request.method === 'HEAD' || origin === undefined) return;
    if (URL.canParse(origin) && new URL(origin).host === request.headers.host) return;
    throw new OilcanError('foreign_origin');
  });
}

export const signedInPeople = plugin(authentication, { name: 'authentication' });
