import { OilcanError } from '@oilcan/core';
import type { FastifyInstance } from 'fastify';
import type { Knex } from 'knex';

/** For whoever watches the server: is it alive, and can it serve. */
export async function healthRoutes(server: FastifyInstance, { database }: { readonly database: Knex }): Promise<void> {
  server.get('/healthz', { schema: { summary: 'The process is alive' } }, async () => ({ status: 'ok' }));
  server.get('/readyz', { schema: { summary: 'The database answers' } }, async () => {
    try {
      await database('counters').first('value');
    } catch {
      throw new OilcanError('not_ready');
    }
    return { status: 'ready' };
  });
}
