import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Person } from '@oilcan/core/plant/people';
import type { Change } from '@oilcan/core/records';
import { type PullAnswer, type PushAnswer, PROTOCOL } from '@oilcan/core/sync';
import { smallWorks } from '@oilcan/core/testing';
import type { FastifyInstance, InjectOptions, LightMyRequestResponse } from 'fastify';
import type { Knex } from 'knex';
import { foldName } from '../accounts/accounts';
import { hashPassword } from '../accounts/passwords';
import { buildServer } from '../app';
import { defaultConfig, type ServerConfig } from '../config';
import { dialectOf } from '../database/dialects';
import { SqlRecords } from '../database/sql-records';
import { freshDatabase } from './fresh-database';
import { TestClock } from './test-clock';
import { noteDerived } from '../derived';

export const PASSWORD = 'correct horse';

/** A server on a database in memory, asked without a network. */
export interface TestServer {
  readonly server: FastifyInstance;
  readonly database: Knex;
  readonly filesRoot: string;
  readonly clock: TestClock;
  /** Signs in and gives the cookie to send along. */
  signIn(person: Person): Promise<string>;
  ask(cookie: string | null, options: InjectOptions): Promise<LightMyRequestResponse>;
  push(cookie: string, operations: readonly unknown[]): Promise<LightMyRequestResponse>;
  /** As a phone that speaks a version of the protocol; the newest where none is said. */
  pull(cookie: string, since?: number, protocol?: number): Promise<PullAnswer>;
  close(): Promise<void>;
}

export async function startTestServer(
  rows: readonly Change[] = smallWorks(),
  config: Partial<ServerConfig> = {},
): Promise<TestServer> {
  const database = await freshDatabase();
  const clock = new TestClock();
  const filesRoot = await mkdtemp(join(tmpdir(), 'oilcan-files-'));
  await database.transaction(async (transaction) => {
    await new SqlRecords(transaction).write(rows);
    await noteDerived(transaction, rows);
  });
  for (const change of rows) {
    if (change.table === 'people' && change.row !== null) await giveAccount(database, change.row);
  }
  const started = await startOn(database, { filesRoot, clock, config });
  return {
    ...started,
    close: async () => {
      await started.close();
      await database.destroy();
      await rm(filesRoot, { recursive: true, force: true });
    },
  };
}

/** Another server on the database and the files of one that runs, as where several share them; closed before it. */
export async function startBeside({ database, filesRoot, clock }: TestServer): Promise<TestServer> {
  const beside = dialectOf(database).connect(addressOf(database));
  const started = await startOn(beside, { filesRoot, clock, config: {} });
  return {
    ...started,
    close: async () => {
      await started.close();
      await beside.destroy();
    },
  };
}

const addressOf = (database: Knex): string =>
  (database.client as { config: { connection: { connectionString: string } } }).config.connection.connectionString;

interface On {
  readonly filesRoot: string;
  readonly clock: TestClock;
  readonly config: Partial<ServerConfig>;
}

async function startOn(database: Knex, { filesRoot, clock, config }: On): Promise<TestServer> {
  const server = await buildServer(
    database,
    {
      ...defaultConfig,
      filesRoot,
      outboxRoot: join(filesRoot, 'outbox'),
      webRoot: null,
      logLevel: 'silent',
      requestsPerMinute: 100_000,
      ...config,
    },
    clock.look,
  );
  const ask: TestServer['ask'] = (cookie, options) =>
    server.inject({ ...options, headers: { ...(cookie === null ? {} : { cookie }), ...options.headers } });
  return {
    server,
    database,
    filesRoot,
    clock,
    ask,
    signIn: async (person) => {
      const answer = await ask(null, {
        method: 'POST',
        url: '/api/session',
        payload: { name: person.name, password: PASSWORD },
      });
      const [cookie] = answer.cookies;
      if (cookie === undefined) throw new Error(answer.body);
      return `${cookie.name}=${cookie.value}`;
    },
    push: (cookie, operations) =>
      ask(cookie, { method: 'POST', url: '/api/operations', payload: { protocol: PROTOCOL.newest, operations } }),
    pull: async (cookie, since = 0, protocol = PROTOCOL.newest) =>
      (
        await ask(cookie, { url: `/api/sync?since=${since}&filling=${since === 0}&protocol=${protocol}` })
      ).json<PullAnswer>(),
    close: () => server.close(),
  };
}

let passwordHash: Promise<string> | undefined;

/** A person signs in with {@link PASSWORD}, whose costly hash is made once for all tests of a file. */
export async function giveAccount(database: Knex, { id, name }: Person): Promise<void> {
  passwordHash ??= hashPassword(PASSWORD);
  await database('accounts').insert({ person: id, sign_in_name: foldName(name), password_hash: await passwordHash });
}

/** The outcomes of a push, as codes. */
export function codesOf(answer: LightMyRequestResponse): string[] {
  return answer.json<PushAnswer>().outcomes.map(({ outcome }) => (outcome.ok ? 'accepted' : outcome.code));
}
