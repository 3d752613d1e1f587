import { OilcanError, type Person } from '@oilcan/core';
import type { FastifyInstance, FastifyRequest } from 'fastify';
import plugin from 'fastify-plugin';
import type { Knex } from 'knex';
import { readRow, type StoredRow } from '../db/sql-records';
import { personOfSession } from './sessions';

export const SESSION_COOKIE = 'oilcan_session';

declare module 'fastify' {
  interface FastifyInstance {
    /** The person who asks. Throws `not_signed_in` or `session_expired`. */
    personOf(request: FastifyRequest): Promise<Person>;
  }
}

async function authentication(server: FastifyInstance, options: { readonly database: Knex }): Promise<void> {
  const { database } = options;
  server.decorate('personOf', async (request: FastifyRequest): Promise<Person> => {
    const token = request.cookies[SESSION_COOKIE];
    if (token === undefined || token === '') throw new OilcanError('not_signed_in');
    const id = await personOfSession(database, token, Date.now());
    if (id === undefined) throw new OilcanError('session_expired');
    const stored = await database<StoredRow>('people').where('id', id).first();
    if (stored === undefined) throw new OilcanError('session_expired');
    return readRow('people', stored);
  });

  // The cookie is SameSite=Strict already; this also refuses what an old browser would send from elsewhere.
  server.addHook('onRequest', async (request) => {
    const origin = request.headers.origin;
    if (request.method === 'GET' || request.method === 'HEAD' || origin === undefined) return;
    if (URL.canParse(origin) && new URL(origin).host === request.headers.host) return;
    throw new OilcanError('foreign_origin');
  });
}

export const signedInPeople = plugin(authentication, { name: 'authentication' });
