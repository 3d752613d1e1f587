import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import fastifyStatic from '@fastify/static';
import { OilcanError } from '@oilcan/core/kernel';
import type { FastifyInstance } from 'fastify';
import { SESSION_COOKIE } from '../accounts/authentication';
import { sendProblem } from '../errors/problem';

/** Files whose name changes with their content. */
const HASHED = /[\\/]_expo[\\/]/;

/** Where the page that is painted before any script has a place for what a demo says. */
const DEMO_PLACE = '<!--demo-->';

/** What the sign-in page of a demo says, in words that stand in HTML as they are. */
const demoWords = (password: string): string =>
  `<div class="demo"><h2>This server shows a demo</h2><p>Graupel Peak Ropeways and its people are invented. Tap a name to sign in, or type it with the password “${inHtml(password)}”.</p></div>`;

const entities: Readonly<Record<string, string>> = { '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' };

const inHtml = (text: string): string => text.replace(/[&<>"]/g, (character) => entities[character] ?? '');

/** The built application. Every address that is not the API's opens it, and it finds its own way from there. */
export async function webRoutes(
  server: FastifyInstance,
  { webRoot, demoPassword }: { readonly webRoot: string | null; readonly demoPassword: string | null },
): Promise<void> {
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
  // Whoever has no session comes to sign in; a demo shows at once what it is.
  const demoPage =
    hasApplication && demoPassword !== null
      ? readFileSync(join(webRoot, 'index.html'), 'utf8').replace(DEMO_PLACE, () => demoWords(demoPassword))
      : null;
  server.setNotFoundHandler((request, reply) => {
    const isPage =
      request.method === 'GET' &&
      !request.url.startsWith('/api/') &&
      !/\.\w{2,5}$/.test(request.url.split('?')[0] ?? '');
    if (isPage && demoPage !== null && request.cookies[SESSION_COOKIE] === undefined)
      return reply.header('cache-control', 'no-cache').type('text/html; charset=utf-8').send(demoPage);
    if (isPage && hasApplication) return reply.header('cache-control', 'no-cache').sendFile('index.html');
    return sendProblem(reply, new OilcanError('route_unknown'), request.id);
  });
}
