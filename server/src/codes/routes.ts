import { OilcanError } from '@oilcan/core/kernel';
import type { Code } from '@oilcan/core/raising/labels';
import type { Person } from '@oilcan/core/plant/people';
import { placeCode, readCode, type Asset, type Place } from '@oilcan/core/plant/plant';
import type { FastifyInstance } from 'fastify';
import type { Knex } from 'knex';
import * as yup from 'yup';
import { answers, shape } from '../docs/json-schema';

const codeSchema = yup
  .object({
    code: yup
      .string()
      .strict()
      .required('Give the code.')
      .max(200, 'A code is shorter than that.')
      .meta({ jsonSchema: { maxLength: 128, pattern: '^[\\x21-\\x7e][\\x20-\\x7e]*$' } }),
  })
  .noUnknown()
  .required();

const labelShape = {
  oneOf: [shape.object({ assetId: shape.text }), shape.object({ placeId: shape.text })],
};

/** Of a code that a phone does not know: whether it is bound meanwhile, or to something on a site that the person has not. */
export async function codeRoutes(server: FastifyInstance, { database }: { readonly database: Knex }): Promise<void> {
  server.get<{ Params: { code: string } }>(
    '/codes/:code',
    {
      schema: {
        summary: 'What a label belongs to',
        response: answers('A machine or a place', labelShape),
        params: codeSchema,
      },
    },
    async (request, reply) => {
      const person = await server.personOf(request);
      reply.header('cache-control', 'no-store');
      const code = readCode(request.params.code);
      if (code === null) throw new OilcanError('code_unreadable', {}, 'code');
      return find(database, code, person);
    },
  );
}

async function find(database: Knex, code: string, person: Person): Promise<{ assetId: string } | { placeId: string }> {
  const labelled =
    (await assetByTag(database, code, person)) ??
    (await boundAsset(database, code)) ??
    (await placeByCode(database, code));
  if (labelled === undefined) throw new OilcanError('not_found', { what: 'label' }, 'code');
  if (person.siteIds.includes(labelled.siteId))
    return 'tag' in labelled ? { assetId: labelled.id } : { placeId: labelled.id };
  throw new OilcanError('other_site');
}

async function boundAsset(database: Knex, code: string): Promise<Asset | undefined> {
  const stored: { body: string } | undefined = await database('codes').where('id', code).first('body');
  if (stored === undefined) return undefined;
  const { assetId } = JSON.parse(stored.body) as Code;
  const asset: { body: string } | undefined = await database('assets').where('id', assetId).first('body');
  return asset === undefined ? undefined : (JSON.parse(asset.body) as Asset);
}

async function placeByCode(database: Knex, code: string): Promise<Place | undefined> {
  const stored: { body: string }[] = await database('places').select('body');
  return stored.map(({ body }) => JSON.parse(body) as Place).find(({ id }) => placeCode(id) === code);
}

async function assetByTag(database: Knex, code: string, person: Person): Promise<Asset | undefined> {
  const stored: { body: string }[] = await database('assets').where('tag', code).orderBy('id').select('body');
  const assets = stored.map(({ body }) => JSON.parse(body) as Asset);
  // Two sites may have machines of one tag: that of one's own is meant.
  return assets.find(({ siteId }) => person.siteIds.includes(siteId)) ?? assets[0];
}
