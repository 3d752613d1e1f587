import { OilcanError } from '@oilcan/core/kernel';
import type { FastifyInstance } from 'fastify';
import type { Knex } from 'knex';
import type { Clock } from '../clock';
import { answers, shape } from '../docs/json-schema';

const CHECK_MILLISECONDS = 1_000;

/** Rejects when the database does not answer, or nothing can be written: its disk is full, or it is read-only. */
async function writeSomething(database: Knex, clock: Clock): Promise<void> {
  await database('counters').insert({ name: 'ready_checked_at', value: clock() }).onConflict('name').merge();
}

interface Options {
  readonly database: Knex;
  readonly clock: Clock;
}

/** For whoever watches the server: is it alive, and can it serve. */
export async function healthRoutes(server: FastifyInstance, { database, clock }: Options): Promise<void> {
  server.get(
    '/healthz',
    { schema: { summary: 'The process is alive', response: answers('It is', shape.object({ status: shape.text })) } },
    async () => ({ status: 'ok' }),
  );
  let checking: Promise<void> | null = null;
  let checkedAt = 0;
  server.get(
    '/readyz',
    {
      schema: {
        summary: 'The database answers, and can be written',
        response: answers('It can serve', shape.object({ status: shape.text })),
      },
    },
    async () => {
      // Whoever asks often does not make it write often.
      if (clock() - checkedAt > CHECK_MILLISECONDS) {
        checking ??= writeSomething(database, clock).finally(() => (checking = null));
        try {
          await checking;
        } catch {
          throw new OilcanError('not_ready', { seconds: 10 });
        }
        checkedAt = clock();
      }
      return { status: 'ready' };
    },
  );
}
