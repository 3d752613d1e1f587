import { instantFromMillis, pastScopes, type AssetId, type PastScope } from '@oilcan/core';
import type { FastifyInstance } from 'fastify';
import type { Knex } from 'knex';
import * as yup from 'yup';
import { readPast } from './read-past';

const pastSchema = yup
  .object({
    asset: yup
      .string()
      .strict()
      .required('Name the asset.')
      .matches(/^[A-Za-z0-9@._-]{1,64}$/, 'This is not the name of an asset.'),
    with: yup.string().oneOf(pastScopes, 'with is asset, parts or place.').default('asset'),
  })
  .noUnknown()
  .required();

/** What happened before. */
export async function pastRoutes(server: FastifyInstance, { database }: { readonly database: Knex }): Promise<void> {
  server.get<{ Querystring: { asset: AssetId; with: PastScope } }>(
    '/past',
    { schema: { summary: 'The past of an asset, with its parts, or of its place', querystring: pastSchema } },
    async (request, reply) => {
      const person = await server.personOf(request);
      const now = instantFromMillis(Date.now());
      const answer = await readPast(database, person, request.query.asset, request.query.with, now);
      return reply
        .header('cache-control', 'no-store')
        .header('content-type', 'application/json; charset=utf-8')
        .send(answer);
    },
  );
}
