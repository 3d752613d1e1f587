import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import fastifyStatic from '@fastify/static';
import { OilcanError } from '@oilcan/core/kernel';
import type { FastifyInstance } from 'fastify';
import type { Knex } from 'knex';
import { SESSION_COOKIE } from '../accounts/sessions';
import { demoPeople } from '../accounts/demo-people';
import { sendProblem } from '../errors/problem';
import { signInForm, type Returned } from './sign-in-form';

/** Files whose name changes with their content. */
const HASHED = /[\\/]_expo[\\/]/;

/** Where the page that is painted before any script has a place for signing in. */
const FORM_PLACE = '<!--sign-in-->';

interface Options {
  readonly webRoot: string | null;
  readonly database: Knex;
  readonly demoPassword: string | null;
}

/** The built application. Every address that is not the API's opens it, and it finds its own way from there. */
export async function webRoutes(server: FastifyInstance, { webRoot, database, demoPassword }: Options): Promise<void> {
  const hasApplication = webRoot !== null && existsSync(join(webRoot, 'index.html'));
  if (hasApplication) {
    await server.register(fastifyStatic, {
      root: webRoot,
      wildcard: false,
      index: false,
      preCompressed: true,
      // What is set below holds; by itself this would say that nothing may be kept.
      cacheControl: false,
      setHeaders: (response, path) => {
        const cacheControl = HASHED.test(path) ? 'public, max-age=31536000, immutable' : 'no-cache';
        void response.setHeader('cache-control', cacheControl);
      },
    });
  }
  const page = hasApplication ? readFileSync(join(webRoot, 'index.html'), 'utf8') : null;
  server.setNotFoundHandler(async (request, reply) => {
    const isPage =
      request.method === 'GET' &&
      !request.url.startsWith('/api/') &&
      !/\.\w{2,5}$/.test(request.url.split('?')[0] ?? '');
    if (!isPage || page === null) return sendProblem(reply, new OilcanError('route_unknown'), request.id);
    reply.header('cache-control', 'no-cache');
    const returned = asReturned(request.query);
    const isSignedIn = request.cookies[SESSION_COOKIE] !== undefined && returned.refused === undefined;
    if (isSignedIn) return reply.sendFile('index.html');
    // Whoever has no session comes to sign in, and can at once. To this server alone: with no referrer at all a browser says of a form
    // that it comes from nowhere.
    reply.raw.setHeader('Referrer-Policy', 'same-origin');
    const form = signInForm(await demoPeople(database, demoPassword), returned);
    return reply.type('text/html; charset=utf-8').send(page.replace(FORM_PLACE, () => form.text));
  });
}

/** What the address of a page says of a form that led back to it. */
function asReturned(query: unknown): Returned {
  const said = (query ?? {}) as Readonly<Record<string, unknown>>;
  const text = (name: string): object => (typeof said[name] === 'string' ? { [name]: said[name] } : {});
  return { ...text('refused'), ...text('seconds'), ...text('name') };
}
