import { instantFromMillis, OilcanError } from '@oilcan/core/kernel';
import type { Person } from '@oilcan/core/plant/people';
import { PROTOCOL } from '@oilcan/core/sync';
import type { FastifyInstance, FastifyReply, FastifyRequest } from 'fastify';
import type { Knex } from 'knex';
import { dialectOf } from '../database/dialects';
import type { Clock } from '../clock';
import * as yup from 'yup';
import type { ServerConfig } from '../config';
import { readRow, type StoredRow } from '../database/sql-records';
import { withdrawLink } from '../calendar/links';
import { answers, answersNothing, shape } from '../docs/json-schema';
import type { ChangeEvents } from '../events/change-events';
import { findAccount, foldName, passwordOf, putPassword } from './accounts';
import { giveCookie } from './authentication';
import { demoPeople } from './demo-people';
import { deviceWords } from './device-words';
import { isPasswordRight } from './passwords';
import { endOtherSessions, endSession, openSession, SESSION_COOKIE, sessionsOf } from './sessions';
import { WrongPasswords } from './wrong-passwords';

const LONGEST_SECRET = 256;
/** NIST SP 800-63B, section 5.1.1.1. */
const SHORTEST_SECRET = 8;

const secret = (what: string) =>
  yup
    .string()
    .strict()
    .required(what)
    .min(1, what)
    .max(LONGEST_SECRET, `A password has at most ${LONGEST_SECRET} characters.`);

const signInSchema = yup
  .object({
    name: yup
      .string()
      .strict()
      .required('Give your name.')
      .min(1, 'Give your name.')
      .max(120, 'A name has at most 120 characters.'),
    password: secret('Give your password.'),
  })
  .noUnknown()
  .required();

type NameAndPassword = yup.InferType<typeof signInSchema>;

/** A name and a password, each character of which may take nine. */
const FORM_BYTES_LIMIT = 8_192;

const changePasswordSchema = yup
  .object({
    present: secret('Give your present password.'),
    next: secret('Give a new password.').min(SHORTEST_SECRET, `Choose at least ${SHORTEST_SECRET} characters.`),
  })
  .noUnknown()
  .required();

const sessionSchema = yup
  .object({
    id: yup
      .string()
      .strict()
      .required('Name the device.')
      .matches(/^[0-9a-f-]{32,36}$/, 'This is not the name of a device.'),
  })
  .noUnknown()
  .required();

const aboutShape = shape.object({
  product: shape.text,
  protocol: shape.whole,
  now: shape.moment,
  demo: shape.orNull(shape.object({ password: shape.text, people: shape.list({ type: 'object' }) })),
});

const sessionsShape = shape.object({
  sessions: shape.list(
    shape.object({ id: shape.text, device: shape.text, signedInAt: shape.moment, lastUsedAt: shape.moment }),
  ),
  present: shape.text,
});

interface Options {
  readonly database: Knex;
  readonly clock: Clock;
  readonly config: ServerConfig;
  readonly events: ChangeEvents;
}

/** Signing in and out, passwords and devices, who I am, and what the sign-in page may know. */
export async function accountRoutes(
  server: FastifyInstance,
  { database, clock, config, events }: Options,
): Promise<void> {
  const wrongPasswords = new WrongPasswords(
    { freeTries: config.freePasswordTries, triesPerAddress: config.wrongPasswordsPerAddress },
    (bounds) => dialectOf(database).counts(database, bounds),
  );

  server.get(
    '/about',
    { schema: { summary: 'What this server is, and the time it has', response: answers('What it is', aboutShape) } },
    async () => ({
      product: 'Oilcan',
      protocol: PROTOCOL.newest,
      now: instantFromMillis(clock()),
      demo: await demoPeople(database, config.demoPassword),
    }),
  );

  const endSessionOf = async (request: FastifyRequest): Promise<void> => {
    const signedIn = await server.sessionOf(request).catch(() => undefined);
    if (signedIn === undefined) return;
    await endSession(database, signedIn.person.id, signedIn.session);
    events.endSessions(new Set([signedIn.session]));
  };

  const signIn = async (
    request: FastifyRequest,
    reply: FastifyReply,
    { name, password }: NameAndPassword,
  ): Promise<Person> => {
    const folded = foldName(name);
    await wrongPasswords.begin(request.ip, folded);
    const account = await findAccount(database, name);
    if (!(await isPasswordRight(account?.password_hash, password)) || account === undefined) {
      throw new OilcanError('wrong_name_or_password');
    }
    await wrongPasswords.right(request.ip, folded);
    const stored = await database<StoredRow>('people').where('id', account.person).first();
    if (stored === undefined) throw new OilcanError('wrong_name_or_password');
    const device = deviceWords(request.headers['user-agent']);
    // Whoever was signed in here before is not any more, also where they signed out without signal.
    await endSessionOf(request);
    giveCookie(reply, await openSession(database, account.person, device, clock()), config.isCookieSecure);
    return readRow('people', stored);
  };

  server.post<{ Body: NameAndPassword }>(
    '/session',
    {
      schema: {
        summary: 'Sign in',
        response: answers('Who is signed in', shape.object({ person: shape.ref('Person') })),
        body: signInSchema,
      },
    },
    async (request, reply) => ({ person: await signIn(request, reply, request.body) }),
  );

  // The same by the form that stands in the page before any script has come; it leads on, or back with what was wrong.
  await server.register((forms, _options, done) => {
    forms.addContentTypeParser(
      'application/x-www-form-urlencoded',
      { parseAs: 'string', bodyLimit: FORM_BYTES_LIMIT },
      (_request, body, parsed) => parsed(null, Object.fromEntries(new URLSearchParams(String(body)))),
    );
    forms.post('/session/form', { schema: { hide: true } }, async (request, reply) => {
      const filled = await signInSchema.validate(request.body).catch(() => null);
      try {
        if (filled === null) throw new OilcanError('wrong_name_or_password');
        await signIn(request, reply, filled);
        return await reply.redirect('/?signed-in=form', 303);
      } catch (error) {
        if (!(error instanceof OilcanError)) throw error;
        const seconds = error.values['seconds'];
        const back = new URLSearchParams({
          refused: error.code,
          ...(seconds === undefined ? {} : { seconds: String(seconds) }),
          ...(filled === null ? {} : { name: filled.name }),
        });
        return reply.redirect(`/sign-in?${back.toString()}`, 303);
      }
    });
    done();
  });

  server.get(
    '/session',
    {
      schema: {
        summary: 'Who is signed in',
        response: answers('Who is signed in', shape.object({ person: shape.ref('Person') })),
      },
    },
    async (request) => ({ person: await server.personOf(request) }),
  );

  server.delete(
    '/session',
    { schema: { summary: 'Sign out', response: answersNothing('Signed out') } },
    async (request, reply) => {
      await endSessionOf(request);
      return reply.clearCookie(SESSION_COOKIE, { path: '/' }).code(204).send();
    },
  );

  server.get(
    '/sessions',
    {
      schema: { summary: 'Where I am signed in, the last used first', response: answers('My devices', sessionsShape) },
    },
    async (request, reply) => {
      const { person, session } = await server.sessionOf(request);
      reply.header('cache-control', 'no-store');
      return { sessions: await sessionsOf(database, person.id, clock()), present: session };
    },
  );

  server.delete<{ Params: { id: string } }>(
    '/sessions/:id',
    {
      schema: {
        summary: 'Sign out another device of mine',
        response: answersNothing('It is signed out'),
        params: sessionSchema,
      },
    },
    async (request, reply) => {
      const { person } = await server.sessionOf(request);
      if (!(await endSession(database, person.id, request.params.id))) {
        throw new OilcanError('not_found', { what: 'device' });
      }
      events.endSessions(new Set([request.params.id]));
      return reply.code(204).send();
    },
  );

  server.put<{ Body: yup.InferType<typeof changePasswordSchema> }>(
    '/password',
    {
      schema: {
        summary: 'Change my password; all my other devices are signed out, and my calendar link is withdrawn',
        response: answersNothing('It is changed'),
        body: changePasswordSchema,
      },
    },
    async (request, reply) => {
      const { person, session } = await server.sessionOf(request);
      const { present, next } = request.body;
      await wrongPasswords.begin(request.ip, person.id);
      if (!(await isPasswordRight(await passwordOf(database, person.id), present))) {
        throw new OilcanError('wrong_password', {}, 'present');
      }
      await wrongPasswords.right(request.ip, person.id);
      await putPassword(database, person.id, next);
      events.endSessions(await endOtherSessions(database, person.id, session));
      await withdrawLink(database, person.id);
      return reply.code(204).send();
    },
  );
}
