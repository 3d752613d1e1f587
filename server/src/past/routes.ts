import { instantFromMillis, type AssetId, type PlaceId } from '@oilcan/core/kernel';
import type { PastOf } from '@oilcan/core/past/past';
import type { FastifyInstance } from 'fastify';
import type { Knex } from 'knex';
import type { Clock } from '../clock';
import * as yup from 'yup';
import { answers, shape } from '../docs/json-schema';
import { readPast } from './read-past';

const idSchema = (message: string) =>
  yup
    .string()
    .strict()
    .matches(/^[A-Za-z0-9@._-]{1,64}$/, message);

const pastSchema = yup
  .object({
    asset: idSchema('This is not the name of an asset.'),
    place: idSchema('This is not the name of a place.'),
    with: yup.string().oneOf(['asset', 'parts'], 'with is asset or parts.').default('asset'),
  })
  .noUnknown()
  .test(
    'whose',
    'Name either an asset or a place.',
    ({ asset, place }) => (asset === undefined) !== (place === undefined),
  )
  .required();

const pastShape = shape.object({
  recordsSince: shape.moment,
  cutAt: shape.orNull(shape.moment),
  asOf: shape.moment,
  jobs: shape.list({ type: 'object' }),
  ofClass: shape.list({ type: 'object' }),
});

interface Asked {
  readonly asset?: AssetId;
  readonly place?: PlaceId;
  readonly with: 'asset' | 'parts';
}

interface Options {
  readonly database: Knex;
  readonly clock: Clock;
}

/** What happened before. */
export async function pastRoutes(server: FastifyInstance, { database, clock }: Options): Promise<void> {
  server.get<{ Querystring: Asked }>(
    '/past',
    {
      schema: {
        summary: 'The past of an asset, of an asset with its parts, or of a place',
        response: answers('The past', pastShape),
        querystring: pastSchema,
      },
    },
    async (request, reply) => {
      const person = await server.personOf(request);
      const now = instantFromMillis(clock());
      const answer = await readPast(database, person, pastOf(request.query), now);
      return reply
        .header('cache-control', 'no-store')
        .header('content-type', 'application/json; charset=utf-8')
        .send(answer);
    },
  );
}

/** One of the two is there: the schema sees to it. */
function pastOf({ asset, place, with: scope }: Asked): PastOf {
  return place === undefined ? { scope, id: asset as AssetId } : { scope: 'place', id: place };
}
