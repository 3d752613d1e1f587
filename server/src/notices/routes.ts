import type { FastifyInstance } from 'fastify';
import type { Knex } from 'knex';

const MOST_MAILS = 100;

/** The mails that went out to a person, for the page that stands in for a mailbox. */
export async function noticeRoutes(server: FastifyInstance, { database }: { readonly database: Knex }): Promise<void> {
  server.get('/mails', { schema: { summary: 'Mails that were sent to me, newest first' } }, async (request, reply) => {
    const person = await server.personOf(request);
    reply.header('cache-control', 'no-store');
    const mails: unknown = await database('mails')
      .where('person', person.id)
      .orderBy('sent_at', 'desc')
      .limit(MOST_MAILS)
      .select('id', 'subject', 'body as text', 'sent_at as sentAt');
    return { mails };
  });
}
