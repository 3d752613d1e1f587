import compress from '@fastify/compress';
import cookie from '@fastify/cookie';
import type { FastifyInstance } from 'fastify';
import { problemDetails } from './errors/problem';
import { yupValidation } from './errors/validation';

/** Answers are packed while somebody waits; the application's files are packed once, when it is built. */
const ANSWER_GZIP_LEVEL = 4;

/** What every way in needs: errors and refusals in one form, bodies that may be packed, cookies. */
export async function speakHttp(server: FastifyInstance): Promise<void> {
  await server.register(problemDetails);
  await server.register(yupValidation);
  await server.register(compress, {
    global: true,
    threshold: 1024,
    encodings: ['gzip'],
    zlibOptions: { level: ANSWER_GZIP_LEVEL },
  });
  await server.register(cookie);
}
