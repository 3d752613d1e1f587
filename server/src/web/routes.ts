import { existsSync } from 'node:fs';
import { join } from 'node:path';
import fastifyStatic from '@fastify/static';
import { OilcanError } from '@oilcan/core/kernel';
import type { FastifyInstance } from 'fastify';
import { sendProblem } from '../errors/problem';

/** Files whose name changes with their content. */
const HASHED = /[\\/]_expo[\\/]/;

/** The built application. Every address that is not the API's opens it, and it finds its own way from there. */
export async function webRoutes(
  server: FastifyInstance,
  { webRoot }: { readonly webRoot: string | null },
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
  server.setNotFoundHandler((request, reply) => {
    const isPage =
      request.method === 'GET' &&
      !request.url.startsWith('/api/') &&
      !/\.\w{2,5}$/.test(request.url.split('?')[0] ?? '');
    if (isPage && hasApplication) return reply.header('cache-control', 'no-cache').sendFile('index.html');
    return sendProblem(reply, new OilcanError('route_unknown'), request.id);
  });
}
