import {
  FILE_BYTES_LIMIT,
  FILE_PIECE_BYTES,
  instantFromMillis,
  isFileId,
  OilcanError,
  type FileId,
  type Person,
} from '@oilcan/core';
import type { FastifyInstance } from 'fastify';
import type { Knex } from 'knex';
import * as yup from 'yup';
import type { FileStore } from './file-store';

interface Options {
  readonly database: Knex;
  readonly files: FileStore;
}

const named = yup
  .object({
    id: yup
      .string()
      .strict()
      .required('Name the file.')
      .test('sha256', 'A file is named by its SHA-256.', (id) => isFileId(id)),
  })
  .noUnknown()
  .required();

interface Named {
  readonly Params: { readonly id: FileId };
}

/**
 * Pictures, sent in pieces that may be taken up where they stopped, and documents: shown to who may see the work order or
 * the machine that they belong to.
 */
export async function fileRoutes(server: FastifyInstance, { database, files }: Options): Promise<void> {
  server.addContentTypeParser(
    'application/octet-stream',
    { parseAs: 'buffer', bodyLimit: FILE_PIECE_BYTES },
    (_request, body, done) => done(null, body),
  );

  server.get<Named>(
    '/files/:id/received',
    { schema: { summary: 'How much of a file has arrived', params: named } },
    async (request, reply) => {
      await server.personOf(request);
      reply.header('cache-control', 'no-store');
      const { id } = request.params;
      return { received: await files.received(id), isWhole: await isKnown(database, id) };
    },
  );

  server.put<Named & { Body: Buffer }>(
    '/files/:id',
    { schema: { summary: 'Send a piece of a file (Content-Range, RFC 9110 section 14)', params: named } },
    async (request) => {
      const person = await server.personOf(request);
      const { id } = request.params;
      const { from, total } = readRange(request.headers['content-range'], request.body);
      const whole = await files.take(id, { from, total, bytes: request.body });
      if (whole === null) return { received: from + request.body.length, isWhole: false };
      await database('files')
        .insert({
          id,
          media_type: whole.mediaType,
          bytes: whole.bytes,
          by_person: person.id,
          received_at: instantFromMillis(Date.now()),
        })
        .onConflict('id')
        .ignore();
      return { received: whole.bytes, isWhole: true };
    },
  );

  server.get<Named>('/files/:id', { schema: { summary: 'A file', params: named } }, async (request, reply) => {
    const person = await server.personOf(request);
    const { id } = request.params;
    const file: { media_type: string; bytes: number; by_person: string } | undefined = await database('files')
      .where('id', id)
      .first();
    if (file === undefined || !(file.by_person === person.id || (await isShownTo(database, id, person)))) {
      throw new OilcanError('not_found', { what: 'file' });
    }
    return reply
      .header('content-type', file.media_type)
      .header('content-length', file.bytes)
      .header('cache-control', 'private, max-age=31536000, immutable')
      .send(files.read(id));
  });
}

async function isKnown(database: Knex, id: FileId): Promise<boolean> {
  return (await database('files').where('id', id).first('id')) !== undefined;
}

async function isShownTo(database: Knex, id: FileId, person: Person): Promise<boolean> {
  for (const table of ['entries', 'documents']) {
    const row: unknown = await database(table)
      .where('file', id)
      .whereIn('site', [...person.siteIds])
      .first('id');
    if (row !== undefined) return true;
  }
  return false;
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
