import { OilcanError } from '@oilcan/core/kernel';
import { noticeHeadlines, type Notice } from '@oilcan/core/overview/notices';
import { hasRole } from '@oilcan/core/operations';
import type { FastifyInstance } from 'fastify';
import type { Knex } from 'knex';
import * as yup from 'yup';
import { copiesAside, tryCopyAgain } from '../copies/deliver-copies';
import { answers, answersNothing, shape } from '../docs/json-schema';
import { readRow, type StoredRow } from '../database/sql-records';

const MOST_MAILS = 100;

const mailSchema = yup
  .object({
    id: yup
      .string()
      .strict()
      .required('Name the mail.')
      .matches(/^[0-9a-f-]{36}$/, 'This is not the name of a mail.'),
  })
  .noUnknown()
  .required();

const mailsShape = shape.object({
  mails: shape.list(shape.object({ id: shape.text, subject: shape.text, text: shape.text, sentAt: shape.moment })),
});

const undeliveredShape = shape.object({
  mails: shape.list(
    shape.object({
      id: shape.text,
      to: shape.text,
      subject: shape.text,
      tries: shape.whole,
      putAsideAt: shape.moment,
    }),
  ),
});

interface PutAside {
  readonly mail_id: string;
  readonly person: string;
  readonly notice: string;
  readonly tries: number;
  readonly put_aside_at: string;
}

/** The mails that went out to a person, for the page that stands in for a mailbox; those that did not, for a lead. */
export async function noticeRoutes(server: FastifyInstance, { database }: { readonly database: Knex }): Promise<void> {
  server.get(
    '/mails',
    { schema: { summary: 'Mails that were sent to me, newest first', response: answers('My mails', mailsShape) } },
    async (request, reply) => {
      const person = await server.personOf(request);
      reply.header('cache-control', 'no-store');
      const mails: unknown = await database('mails')
        .where('person', person.id)
        .orderBy('sent_at', 'desc')
        .limit(MOST_MAILS)
        .select('id', 'subject', 'body as text', 'sent_at as sentAt');
      return { mails };
    },
  );

  server.get(
    '/mails/undelivered',
    {
      schema: {
        summary: 'For a lead: mails to people of my sites that could not be delivered',
        response: answers('Mails put aside', undeliveredShape),
      },
    },
    async (request, reply) => {
      const person = await server.personOf(request);
      if (!hasRole(person, ['lead'])) throw new OilcanError('role_missing', { roles: 'lead' });
      reply.header('cache-control', 'no-store');
      const [notices, copies] = [
        await undelivered(database, person.siteIds),
        await copiesAside(database, person.siteIds),
      ];
      return { mails: [...copies, ...notices] };
    },
  );

  server.post<{ Params: { id: string } }>(
    '/mails/undelivered/:id/again',
    {
      schema: {
        summary: 'For a lead: try to deliver a mail once more',
        response: answersNothing('It is tried again'),
        params: mailSchema,
      },
    },
    async (request, reply) => {
      const person = await server.personOf(request);
      if (!hasRole(person, ['lead'])) throw new OilcanError('role_missing', { roles: 'lead' });
      const isAsked = ({ id }: { readonly id: string }): boolean => id === request.params.id;
      const copy = (await copiesAside(database, person.siteIds)).find(isAsked);
      if (copy !== undefined) {
        await tryCopyAgain(database, copy.id);
        return reply.code(204).send();
      }
      const found = (await undelivered(database, person.siteIds)).find(isAsked);
      if (found === undefined) throw new OilcanError('not_found', { what: 'mail' });
      await database('mail_queue')
        .where('mail_id', found.id)
        .update({ tries: 0, next_try_at: null, put_aside_at: null });
      return reply.code(204).send();
    },
  );
}

async function undelivered(
  database: Knex,
  siteIds: readonly string[],
): Promise<{ id: string; to: string; subject: string; tries: number; putAsideAt: string }[]> {
  const stored: PutAside[] = await database<PutAside>('mail_queue')
    .whereNotNull('put_aside_at')
    .orderBy('put_aside_at', 'desc')
    .limit(MOST_MAILS);
  const shown = [];
  for (const { mail_id, person, notice, tries, put_aside_at } of stored) {
    const found: StoredRow | undefined = await database<StoredRow>('people').where('id', person).first();
    const to = found === undefined ? undefined : readRow('people', found);
    if (to === undefined || !to.siteIds.some((id) => siteIds.includes(id))) continue;
    const { kind, number, title } = JSON.parse(notice) as Notice;
    const subject = `${noticeHeadlines[kind]}: ${number} ${title}`;
    shown.push({ id: mail_id, to: to.name, subject, tries, putAsideAt: put_aside_at });
  }
  return shown;
}
