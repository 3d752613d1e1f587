import { idField, OilcanError, type PartId, type SiteId } from '@oilcan/core/kernel';
import type { Movement, StockLevel } from '@oilcan/core/stores/stock';
import type { FastifyInstance } from 'fastify';
import type { Knex } from 'knex';
import * as yup from 'yup';
import { runAmong, runnerOf } from '../database/statements';
import { readRow, type StoredRow } from '../database/sql-records';
import { answers, shape } from '../docs/json-schema';

const partSchema = yup.object({ part: idField<PartId>() }).noUnknown().required();

/** So many movements are shown of one part: years of most, and a year of what is taken every day. */
const MOST_MOVEMENTS = 500;

/** What is behind the stock of a part, which no phone carries: every movement, of the bins on the sites of whoever asks. */
export async function storeRoutes(server: FastifyInstance, { database }: { readonly database: Knex }): Promise<void> {
  server.get<{ Params: { part: PartId } }>(
    '/parts/:part/movements',
    {
      schema: {
        summary: 'What moved of a part, the newest first',
        response: answers('Movements', shape.object({ movements: shape.list(shape.any), hasMore: shape.flag })),
        params: partSchema,
      },
    },
    async (request, reply) => {
      const person = await server.personOf(request);
      reply.header('cache-control', 'no-store');
      const isThere: unknown = await database('parts').where('id', request.params.part).first('id');
      if (isThere === undefined) throw new OilcanError('not_found', { what: 'part' }, 'part');
      const movements = await movementsOf(database, request.params.part, person.siteIds);
      return { movements: movements.slice(0, MOST_MOVEMENTS), hasMore: movements.length > MOST_MOVEMENTS };
    },
  );
}

async function movementsOf(database: Knex, part: PartId, sites: readonly SiteId[]): Promise<Movement[]> {
  const levels: StoredRow[] = await database<StoredRow>('stock')
    .where('part', part)
    .whereIn('site', [...sites])
    .select('body');
  const ids = levels.map((stored): StockLevel => readRow('stock', stored)).map(({ id }) => id);
  const run = await runnerOf(database);
  const stored = await runAmong<StoredRow>(
    run,
    ids,
    (places) => `SELECT body FROM movements WHERE level IN (${places})`,
  );
  return stored
    .map((each): Movement => readRow('movements', each))
    .sort((a, b) => (a.at === b.at ? (a.id < b.id ? 1 : -1) : a.at < b.at ? 1 : -1));
}
