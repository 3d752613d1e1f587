import { OilcanError, type Person } from '@oilcan/core';
import type { FastifyInstance, FastifyRequest } from 'fastify';
import plugin from 'fastify-plugin';
import type { Knex } from 'knex';
import { readRow, type StoredRow } from '../db/sql-records';
import { sessionOfToken } from './sessions';

export const SESSION_COOKIE = 'oilcan_session';

interface SignedIn {
  readonly person: Person;
  /** The name of the session, which is no secret. */
  readonly session: string;
}

declare module 'fastify' {
  interface FastifyInstance {
    /** The person who asks, and in which session. Throws `not_signed_in` or `session_expired`. */
    sessionOf(request: FastifyRequest): Promise<SignedIn>;
    /** The person who asks. Throws as `sessionOf`. */
    personOf(request: FastifyRequest): Promise<Person>;
  }
}

async function authentication(server: FastifyInstance, options: { readonly database: Knex }): Promise<void> {
  const { database } = options;
  const sessionOf = async (request: FastifyRequest): Promise<SignedIn> => {
    const token = request.cookies[SESSION_COOKIE];
    if (token === undefined || token === '') throw new OilcanError('not_signed_in');
    const session = await sessionOfToken(database, token, Date.now());
    if (session === undefined) throw new OilcanError('session_expired');
    const stored = await database<StoredRow>('people').where('id', session.personId).first();
    if (stored === undefined) throw new OilcanError('session_expired');
    return { person: readRow('people', stored), session: session.id };
  };
  server.decorate('sessionOf', sessionOf);
  server.decorate('personOf', async (request: FastifyRequest) => (await sessionOf(request)).person);

  // The cookie is SameSite=Strict already; this also refuses what an old browser would send from elsewhere.
  server.addHook('onRequest', async (request) => {
    const origin = request.headers.origin;
    if (request.method === 'GET' || request.method === 'HEAD' || origin === undefined) return;
    if (URL.canParse(origin) && new URL(origin).host === request.headers.host) return;
    throw new OilcanError('foreign_origin');
  });
}

export const signedInPeople = plugin(authentication, { name: 'authentication' });
