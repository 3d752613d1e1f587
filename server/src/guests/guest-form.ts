import type { MultipartFile } from '@fastify/multipart';
import { pictureTypes, withoutCameraNotes } from '@oilcan/core/files';
import { instantFromMillis, OilcanError } from '@oilcan/core/kernel';
import type { ReportPhoto } from '@oilcan/core/reports';
import type { FastifyRequest } from 'fastify';
import { imageSize } from 'image-size';
import type { Knex } from 'knex';
import type { Clock } from '../clock';
import type { FileStore } from '../files/file-store';

/** A photo as a phone takes it; with its script the page makes it smaller before it is sent. */
const GUEST_PHOTO_BYTES = 12 * 1024 * 1024;
/** Where the sizes of a picture stand in a file, at the latest: after the description that cameras write. */
const HEAD_BYTES = 512 * 1024;
const limits = { fields: 20, files: 1, fieldSize: 60_000, fileSize: GUEST_PHOTO_BYTES + 1, headerPairs: 20 };
const LARGEST_SIDE = 20_000;

/** Where a photo is kept, and by which clock. */
interface Kept {
  readonly database: Knex;
  readonly files: FileStore;
  readonly clock: Clock;
}

/** The texts of a form, as far as they have been read. */
export type GuestTexts = Record<string, string>;

/**
 * Reads a form (multipart/form-data, RFC 7578). Throws `invalid`, `file_too_large` or `picture_unsupported`; the texts that came
 * before stay.
 *
 * @returns the photo that came with it; null for none
 */
export async function readGuestForm(
  request: FastifyRequest,
  texts: GuestTexts,
  kept: Kept,
): Promise<ReportPhoto | null> {
  if (!request.isMultipart()) throw new OilcanError('invalid', { reason: 'Send the form of the page.' });
  let photo: ReportPhoto | null = null;
  for await (const part of request.parts({ limits })) {
    if (part.type === 'field') texts[part.fieldname] = typeof part.value === 'string' ? part.value : '';
    // A browser sends an empty file where none was chosen.
    else if (part.filename === '') part.file.resume();
    else photo = await photoOf(part, kept);
  }
  return photo;
}

async function photoOf({ file }: MultipartFile, { database, clock, files }: Kept): Promise<ReportPhoto> {
  const { id, bytes, mediaType } = await files
    .bring(file, pictureTypes, GUEST_PHOTO_BYTES, withoutCameraNotes)
    .catch((error: unknown) => {
      const isOther = error instanceof OilcanError && error.code === 'file_type_unsupported';
      throw isOther ? new OilcanError('picture_unsupported') : error;
    });
  const size = sizeOf(await files.beginning(id, HEAD_BYTES));
  const isKnown = (await database('files').where('id', id).first('id')) !== undefined;
  if (size === null) {
    if (!isKnown) await files.remove(id);
    throw new OilcanError('picture_unsupported');
  }
  await database('files')
    .insert({ id, media_type: mediaType, bytes, by_person: '', received_at: instantFromMillis(clock()) })
    .onConflict('id')
    .ignore();
  return { fileId: id, mediaType, ...size };
}

/** The sizes of a picture in pixels; null for what only begins like one. */
function sizeOf(head: Buffer): { readonly width: number; readonly height: number } | null {
  try {
    const { width, height } = imageSize(head);
    const isPicture = width >= 1 && height >= 1 && width <= LARGEST_SIDE && height <= LARGEST_SIDE;
    return isPicture ? { width, height } : null;
  } catch {
    return null;
  }
}
