import type { FoundWork } from '@oilcan/core/overview/find';
import type { FastifyInstance } from 'fastify';
import type { Knex } from 'knex';
import * as yup from 'yup';
import { answers, shape } from '../docs/json-schema';
import { findWork } from './find-work';

const LONGEST = 100;

const findSchema = yup
  .object({
    words: yup
      .string()
      .strict()
      .min(1, 'Say what is looked for.')
      .max(LONGEST, `Type at most ${LONGEST} characters.`)
      .required('Say what is looked for.'),
  })
  .noUnknown()
  .required();

const foundShape = shape.object({ works: shape.list({ type: 'object' }) });

/** What a person may see of work, found by its words. */
export async function findRoutes(server: FastifyInstance, { database }: { readonly database: Knex }): Promise<void> {
  server.get<{ Querystring: { readonly words: string } }>(
    '/find',
    {
      schema: {
        summary: 'Work orders of the sites of a person, open and ended, that have every one of these words',
        response: answers('The likeliest first', foundShape),
        querystring: findSchema,
      },
    },
    async (request, reply): Promise<{ works: readonly FoundWork[] }> => {
      const person = await server.personOf(request);
      void reply.header('cache-control', 'no-store');
      return { works: await findWork(database, person, request.query.words) };
    },
  );
}
