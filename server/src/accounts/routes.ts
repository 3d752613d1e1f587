import { OilcanError, PROTOCOL_VERSION, type Person } from '@oilcan/core';
import type { FastifyInstance } from 'fastify';
import type { Knex } from 'knex';
import { RateLimiterMemory, RateLimiterRes } from 'rate-limiter-flexible';
import * as yup from 'yup';
import type { ServerConfig } from '../config';
import { readRow, type StoredRow } from '../db/sql-records';
import { findAccount, foldName } from './accounts';
import { SESSION_COOKIE } from './authentication';
import { isPasswordRight } from './passwords';
import { closeSession, openSession, SESSION_DAYS } from './sessions';

const LONGEST_SECRET = 256;
const WRONG_PASSWORD_WINDOW_SECONDS = 300;

const signInSchema = yup
  .object({
    name: yup.string().strict().required('Give your name.').max(120, 'A name has at most 120 characters.'),
    password: yup
      .string()
      .strict()
      .required('Give your password.')
      .max(LONGEST_SECRET, `A password has at most ${LONGEST_SECRET} characters.`),
  })
  .noUnknown()
  .required();

type SignIn = yup.InferType<typeof signInSchema>;

interface Options {
  readonly database: Knex;
  readonly config: ServerConfig;
}

/** Signing in and out, who I am, and what the sign-in page may know. */
export async function accountRoutes(server: FastifyInstance, { database, config }: Options): Promise<void> {
  const wrongPasswords = new RateLimiterMemory({
    points: config.wrongPasswordsAllowed,
    duration: WRONG_PASSWORD_WINDOW_SECONDS,
  });

  server.get('/about', { schema: { summary: 'What this server is, and the time it has' } }, async () => ({
    product: 'Oilcan',
    protocol: PROTOCOL_VERSION,
    now: new Date().toISOString(),
    demo: config.demoPassword === null ? null : await demoPeople(database, config.demoPassword),
  }));

  server.post<{ Body: SignIn }>(
    '/session',
    { schema: { summary: 'Sign in', body: signInSchema } },
    async (request, reply) => {
      const { name, password } = request.body;
      const key = `${request.ip} ${foldName(name)}`;
      await countTry(wrongPasswords, key);
      const account = await findAccount(database, name);
      if (!(await isPasswordRight(account?.password_hash, password)) || account === undefined) {
        throw new OilcanError('wrong_name_or_password');
      }
      await wrongPasswords.delete(key);
      const token = await openSession(database, account.person, Date.now());
      reply.setCookie(SESSION_COOKIE, token, {
        path: '/',
        httpOnly: true,
        sameSite: 'strict',
        secure: config.isCookieSecure,
        maxAge: SESSION_DAYS * 24 * 60 * 60,
      });
      const stored = await database<StoredRow>('people').where('id', account.person).first();
      if (stored === undefined) throw new OilcanError('wrong_name_or_password');
      return { person: readRow('people', stored) };
    },
  );

  server.get('/session', { schema: { summary: 'Who is signed in' } }, async (request) => ({
    person: await server.personOf(request),
  }));

  server.delete('/session', { schema: { summary: 'Sign out' } }, async (request, reply) => {
    const token = request.cookies[SESSION_COOKIE];
    if (token !== undefined) await closeSession(database, token);
    return reply.clearCookie(SESSION_COOKIE, { path: '/' }).code(204).send();
  });
}

/** Counts a try before it is judged, so that tries sent all at once count too; the right password clears the count. */
async function countTry(limiter: RateLimiterMemory, key: string): Promise<void> {
  try {
    await limiter.consume(key);
  } catch (limited) {
    if (!(limited instanceof RateLimiterRes)) throw limited;
    throw new OilcanError('too_many_requests', { seconds: Math.ceil(limited.msBeforeNext / 1000) });
  }
}

interface DemoPeople {
  readonly password: string;
  readonly people: readonly Pick<Person, 'id' | 'name' | 'roles' | 'craftId'>[];
}

async function demoPeople(database: Knex, password: string): Promise<DemoPeople> {
  const stored: StoredRow[] = await database<StoredRow>('people').orderBy('revision').select('body');
  const people = stored.map((each) => readRow('people', each));
  return { password, people: people.map(({ id, name, roles, craftId }) => ({ id, name, roles, craftId })) };
}
