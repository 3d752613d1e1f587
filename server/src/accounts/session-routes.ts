import { OilcanError } from '@oilcan/core/kernel';
import type { Person } from '@oilcan/core/plant/people';
import type { FastifyInstance, FastifyReply, FastifyRequest } from 'fastify';
import * as yup from 'yup';
import { readRow, type StoredRow } from '../database/sql-records';
import { answers, answersNothing, shape } from '../docs/json-schema';
import type { AccountOptions } from './account-options';
import { findAccount, foldName } from './accounts';
import { giveCookie } from './authentication';
import { deviceWords } from './device-words';
import { isPasswordRight } from './passwords';
import { secretField } from './secret-field';
import { endSession, openSession, SESSION_COOKIE } from './sessions';

const signInSchema = yup
  .object({
    name: yup
      .string()
      .strict()
      .required('Give your name.')
      .min(1, 'Give your name.')
      .max(120, 'A name has at most 120 characters.'),
    password: secretField('Give your password.'),
  })
  .noUnknown()
  .required();

type NameAndPassword = yup.InferType<typeof signInSchema>;

/** A name and a password, each character of which may take nine. */
const FORM_BYTES_LIMIT = 8_192;

type SignIn = (request: FastifyRequest, reply: FastifyReply, given: NameAndPassword) => Promise<Person>;

/** Signing in and out, and who is signed in. */
export async function sessionRoutes(
  server: FastifyInstance,
  { database, clock, config, events, wrongPasswords }: AccountOptions,
): Promise<void> {
  const endSessionOf = async (request: FastifyRequest): Promise<void> => {
    const signedIn = await server.sessionOf(request).catch(() => undefined);
    if (signedIn === undefined) return;
    await endSession(database, signedIn.person.id, signedIn.session);
    events.endSessions(new Set([signedIn.session]));
  };

  const signIn: SignIn = async (request, reply, { name, password }) => {
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

  await signInByForm(server, signIn);

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
}

/** The same by the form that stands in the page before any script has come; it leads on, or back with what was wrong. */
async function signInByForm(server: FastifyInstance, signIn: SignIn): Promise<void> {
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
}
