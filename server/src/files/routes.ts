import { FILE_BYTES_LIMIT, isData, isFileId } from '@oilcan/core/plant/files';
import { FILE_PIECE_BYTES } from '@oilcan/core/sync';
import { instantFromMillis, OilcanError, type FileId } from '@oilcan/core/kernel';
import type { FastifyInstance } from 'fastify';
import type { Knex } from 'knex';
import type { Clock } from '../clock';
import * as yup from 'yup';
import { answers, answersAs, shape } from '../docs/json-schema';
import type { FileStore } from './file-store';
import { mayNameFile, noteFile } from './known-files';

interface Options {
  readonly database: Knex;
  readonly clock: Clock;
  readonly files: FileStore;
}

const named = yup
  .object({
    id: yup
      .string()
      .strict()
      .required('Name the file.')
      .test('sha256', 'A file is named by its SHA-256.', (id) => isFileId(id))
      .meta({ jsonSchema: { pattern: '^[0-9a-f]{64}$' } }),
  })
  .noUnknown()
  .required();

const arrivedShape = shape.object({ received: shape.whole, isWhole: shape.flag });

interface Named {
  readonly Params: { readonly id: FileId };
}

/**
 * Pictures, sent in pieces that may be taken up where they stopped, and documents: shown to who may see the work order or
 * the machine that they belong to.
 */
export async function fileRoutes(server: FastifyInstance, { database, clock, files }: Options): Promise<void> {
  server.addContentTypeParser(
    'application/octet-stream',
    { parseAs: 'buffer', bodyLimit: FILE_PIECE_BYTES },
    (_request, body, done) => done(null, body),
  );

  server.get<Named>(
    '/files/:id/received',
    {
      schema: { summary: 'How much of a file has arrived', response: answers('How much', arrivedShape), params: named },
    },
    async (request, reply) => {
      const person = await server.personOf(request);
      reply.header('cache-control', 'no-store');
      const { id } = request.params;
      const bytes = (await mayNameFile(database, id, person)) ? await files.bytesOf(id) : undefined;
      if (bytes !== undefined) return { received: bytes, isWhole: true };
      return { received: await files.received(id, person.id), isWhole: false };
    },
  );

  server.put<Named & { Body: Buffer }>(
    '/files/:id',
    {
      schema: {
        summary: 'Send a piece of a file (Content-Range, RFC 9110 section 14)',
        response: answers('How much has arrived now', arrivedShape),
        params: named,
      },
    },
    async (request) => {
      const person = await server.personOf(request);
      const { id } = request.params;
      const { from, total } = readRange(request.headers['content-range'], request.body);
      if (person.siteIds.length === 0 || person.roles.length === 0) {
        throw new OilcanError('role_missing', { roles: 'person with a site and a role' });
      }
      // Who has brought it, or may see it, need not bring it again.
      const known = (await mayNameFile(database, id, person)) ? await files.bytesOf(id) : undefined;
      if (known !== undefined) return { received: known, isWhole: true };
      const whole = await files.take(id, person.id, { from, total, bytes: request.body });
      if (whole === null) return { received: from + request.body.length, isWhole: false };
      await noteFile(database, { id, ...whole, receivedAt: instantFromMillis(clock()) }, person.id);
      return { received: whole.bytes, isWhole: true };
    },
  );

  server.get<Named>(
    '/files/:id',
    { schema: { summary: 'A file', response: answersAs('Its bytes', 'application/octet-stream'), params: named } },
    async (request, reply) => {
      const person = await server.personOf(request);
      const { id } = request.params;
      const bytes = (await mayNameFile(database, id, person)) ? await files.bytesOf(id) : undefined;
      const file: { media_type: string } | undefined = await database('files').where('id', id).first('media_type');
      if (file === undefined || bytes === undefined) throw new OilcanError('not_found', { what: 'file' });
      // A drawing or a PDF may hold a script. The application shows it as a picture, in which nothing runs; whoever opens its address
      // gets it as a file to save.
      if (file.media_type === 'image/svg+xml' || file.media_type === 'application/pdf' || isData(file.media_type)) {
        reply.header('content-disposition', 'attachment');
        reply.raw.setHeader('Content-Security-Policy', "default-src 'none'; style-src 'unsafe-inline'; sandbox");
      }
      return reply
        .header('content-type', file.media_type)
        .header('content-length', bytes)
        .header('cache-control', 'private, max-age=31536000, immutable')
        .send(files.read(id));
    },
  );
}

const RANGE = /^bytes (\d{1,12})-(\d{1,12})\/(\d{1,12})$/;

/** `bytes 0-262143/700000`, which must fit the bytes that come with it. */
function readRange(header: string | undefined, body: unknown): { from: number; total: number } {
  const match = RANGE.exec(header ?? '');
  if (match === null || !Buffer.isBuffer(body)) {
    throw new OilcanError('invalid', { reason: 'Send bytes with a Content-Range, such as bytes 0-999/5000.' });
  }
  const [from, to, total] = [Number(match[1]), Number(match[2]), Number(match[3])];
  if (total > FILE_BYTES_LIMIT) {
    throw new OilcanError('file_too_large', { limitMegabytes: FILE_BYTES_LIMIT / 1024 ** 2 });
  }
  if (to - from + 1 !== body.length || to >= total) {
    throw new OilcanError('invalid', { reason: 'The Content-Range does not fit the bytes that came with it.' });
  }
  return { from, total };
}
