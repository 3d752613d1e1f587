import type { FileId } from '../../kernel/ids';

/** Pictures that every browser shows. */
export const pictureTypes = ['image/jpeg', 'image/png', 'image/webp'] as const;
export type PictureType = (typeof pictureTypes)[number];

/** Bytes of the largest file that is taken. */
export const FILE_BYTES_LIMIT = 16 * 1024 * 1024;
/** Bytes that are sent at once, so that little is lost when the signal goes. */
export const FILE_PIECE_BYTES = 256 * 1024;

const SHA_256 = /^[0-9a-f]{64}$/;

/** Whether a text is the SHA-256 of a file, in lower-case hexadecimal: its name. */
export function isFileId(text: string): text is FileId {
  return SHA_256.test(text);
}

/** The kind of picture that these bytes begin, by the signatures of the formats; null for anything else. */
export function pictureTypeOf(bytes: Uint8Array): PictureType | null {
  const startsWith = (signature: readonly number[], at = 0): boolean =>
    signature.every((byte, index) => bytes[at + index] === byte);
  if (startsWith([0xff, 0xd8, 0xff])) return 'image/jpeg';
  if (startsWith([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a])) return 'image/png';
  if (startsWith([0x52, 0x49, 0x46, 0x46]) && startsWith([0x57, 0x45, 0x42, 0x50], 8)) return 'image/webp';
  return null;
}
