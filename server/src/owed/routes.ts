import { instantFromMillis, OilcanError } from '@oilcan/core/kernel';
import { hasRole } from '@oilcan/core/operations';
import { workKinds, type WorkKind } from '@oilcan/core/orders/work';
import type { FastifyInstance } from 'fastify';
import type { Knex } from 'knex';
import type { Clock } from '../clock';
import * as yup from 'yup';
import { answers, shape } from '../docs/json-schema';
import { missingOfMonth } from './owed-of-month';

const kindSchema = yup
  .object({ kind: yup.string().oneOf(workKinds, 'This is no kind of work.').required('Name the kind of work.') })
  .noUnknown()
  .required();

const missingShape = shape.object({ jobs: shape.list(shape.list(shape.text)) });

interface Options {
  readonly database: Knex;
  readonly clock: Clock;
}

/** What last month's jobs would have owed, for whoever chooses what is owed. */
export async function owedRoutes(server: FastifyInstance, { database, clock }: Options): Promise<void> {
  server.get<{ Querystring: { readonly kind: WorkKind } }>(
    '/owed',
    {
      schema: {
        summary: 'For a lead: of each job of a kind that was finished in the last thirty days, what was not given',
        response: answers('The jobs, the newest first', missingShape),
        querystring: kindSchema,
      },
    },
    async (request, reply) => {
      const person = await server.personOf(request);
      if (!hasRole(person, ['lead'])) throw new OilcanError('role_missing', { roles: 'lead' });
      reply.header('cache-control', 'no-store');
      const now = instantFromMillis(clock());
      return { jobs: await missingOfMonth(database, person.siteIds, request.query.kind, now) };
    },
  );
}
