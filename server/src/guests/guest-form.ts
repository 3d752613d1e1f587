import { isDrawable, pictureTypes, withoutCameraNotes } from '@oilcan/core/plant/files';
import { instantFromMillis, OilcanError } from '@oilcan/core/kernel';
import type { ReportPhoto } from '@oilcan/core/raising/reports';
import type { FastifyRequest } from 'fastify';
import { imageSize } from 'image-size';
import type { Knex } from 'knex';
import type { Clock } from '../clock';
import type { Arrived, FileStore } from '../files/file-store';
import { GUEST } from '../files/orphans';

/** A photo as a phone takes it; with its script the page makes it smaller before it is sent. */
const GUEST_PHOTO_BYTES = 12 * 1024 * 1024;
/** Where the sizes of a picture stand in a file, at the latest: after the description that cameras write. */
const HEAD_BYTES = 512 * 1024;
const limits = { fields: 20, files: 1, fieldSize: 60_000, fileSize: GUEST_PHOTO_BYTES + 1, headerPairs: 20 };

/** Where a photo is kept, and by which clock. */
interface Kept {
  readonly database: Knex;
  readonly files: FileStore;
  readonly clock: Clock;
}

/** The texts of a form, as far as they have been read. */
export type GuestTexts = Record<string, string>;

/** A photo that came with a form: it waits aside until it is known that it is wanted. */
export interface GuestPhoto {
  /** Keeps it among the files. Throws `picture_unsupported` for what is none, or larger than anybody draws; then nothing is kept. */
  keep(): Promise<ReportPhoto>;
  /** Takes away what waits, whether it was kept or not. */
  forget(): Promise<void>;
}

/**
 * Reads a form (multipart/form-data, RFC 7578). Throws `invalid`, `file_too_large` or `picture_unsupported`; the texts that came
 * before stay.
 *
 * @param takesPhoto without it a photo is read past: what will be refused is not written down first
 * @returns the photo that came with it; null for none
 */
export async function readGuestForm(
  request: FastifyRequest,
  texts: GuestTexts,
  kept: Kept,
  takesPhoto: boolean,
): Promise<GuestPhoto | null> {
  if (!request.isMultipart()) throw new OilcanError('invalid', { reason: 'Send the form of the page.' });
  let photo: GuestPhoto | null = null;
  try {
    for await (const part of request.parts({ limits })) {
      if (part.type === 'field') texts[part.fieldname] = typeof part.value === 'string' ? part.value : '';
      // A browser sends an empty file where none was chosen.
      else if (part.filename === '' || !takesPhoto) part.file.resume();
      else photo = waiting(await kept.files.setAside(part.file, GUEST_PHOTO_BYTES), kept);
    }
  } catch (error) {
    await photo?.forget();
    throw error instanceof OilcanError ? error : notWhole(error);
  }
  return photo;
}

/** What the reader of forms says of one that is torn, has no parts, or has heads that are none. */
function notWhole(error: unknown): unknown {
  const code = error instanceof Error && 'code' in error ? String(error.code) : '';
  // What the disk or the database says is no fault of the form.
  if (/^(E[A-Z]+|SQLITE)/.test(code)) return error;
  if (code === 'FST_REQ_FILE_TOO_LARGE')
    return new OilcanError('file_too_large', { limitMegabytes: GUEST_PHOTO_BYTES / 1024 ** 2 });
  return new OilcanError('invalid', { reason: 'The form did not arrive whole. Send it again.' });
}

function waiting(arrived: Arrived, { database, files, clock }: Kept): GuestPhoto {
  return {
    keep: async () => {
      const { id, bytes, mediaType } = await files
        .keepAside(arrived, pictureTypes, withoutCameraNotes)
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
        .insert({ id, media_type: mediaType, bytes, by_person: GUEST, received_at: instantFromMillis(clock()) })
        .onConflict('id')
        .ignore();
      return { fileId: id, mediaType, ...size };
    },
    forget: () => files.forgetAside(arrived),
  };
}

/** The sizes of a picture in pixels; null for what only begins like one, or is larger than anybody draws. */
function sizeOf(head: Buffer): { readonly width: number; readonly height: number } | null {
  try {
    const { width, height } = imageSize(head);
    return isDrawable({ width, height }) ? { width, height } : null;
  } catch {
    return null;
  }
}
