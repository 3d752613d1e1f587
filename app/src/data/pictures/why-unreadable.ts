import { FILE_HEAD_BYTES, isForeignPicture, pictureTypeOf } from '@oilcan/core/plant/files';

const MEGABYTE = 1024 * 1024;
/** A picture is made small before it is kept; a larger one than this is not even opened. */
const LARGEST_PICTURE = 60 * MEGABYTE;

/** The first bytes of a file, which say what it is. */
export async function headOf(file: Blob): Promise<Uint8Array> {
  return new Uint8Array(await file.slice(0, FILE_HEAD_BYTES).arrayBuffer());
}

/** Why a file cannot be a photo here, as a sentence; null where it can. */
export function whyUnreadable({ name, size }: Pick<File, 'name' | 'size'>, head: Uint8Array): string | null {
  if (isForeignPicture(head))
    return `“${name}” is a HEIC or AVIF picture, which not every phone shows. Save it as JPEG, or take the photo here.`;
  if (pictureTypeOf(head) === null) return `“${name}” is no picture that can be read. Choose a photo, or take one.`;
  if (size > LARGEST_PICTURE)
    return `“${name}” has ${megabytes(size)}. A picture may have at most ${megabytes(LARGEST_PICTURE)}.`;
  return null;
}

export function megabytes(bytes: number): string {
  return `${Math.round(bytes / MEGABYTE)} MB`;
}
