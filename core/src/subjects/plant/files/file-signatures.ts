import type { FileType, PictureType } from './files';

/** The kind of picture that these bytes begin, by the signatures of the formats; null for anything else. */
export function pictureTypeOf(bytes: Uint8Array): PictureType | null {
  const startsWith = (signature: readonly number[], at = 0): boolean =>
    signature.every((byte, index) => bytes[at + index] === byte);
  if (startsWith([0xff, 0xd8, 0xff])) return 'image/jpeg';
  if (startsWith([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a])) return 'image/png';
  if (startsWith([0x52, 0x49, 0x46, 0x46]) && startsWith([0x57, 0x45, 0x42, 0x50], 8)) return 'image/webp';
  return null;
}

/** Brands of pictures in the container that sound comes in too: HEIC and AVIF, which not every browser shows. */
const PICTURE_BRANDS = /^(?:hei[cfmsx]|hev[cmsx]|mif1|msf1|avif|avis)$/;

/** Whether a file is a picture that not every browser shows, by the brand of its container (ISO/IEC 14496-12, 23008-12). */
export function isForeignPicture(bytes: Uint8Array): boolean {
  return PICTURE_BRANDS.test(brandOf(bytes) ?? '');
}

/** The kind of file that these bytes begin, by the signatures of the formats; null for what is not taken. */
export function fileTypeOf(bytes: Uint8Array): FileType | null {
  const picture = pictureTypeOf(bytes);
  if (picture !== null) return picture;
  const startsWith = (signature: readonly number[]): boolean => signature.every((byte, index) => bytes[index] === byte);
  if (startsWith([0x25, 0x50, 0x44, 0x46, 0x2d])) return 'application/pdf';
  if (startsWith([0x1a, 0x45, 0xdf, 0xa3])) return 'audio/webm';
  if (startsWith([0x4f, 0x67, 0x67, 0x53])) return 'audio/ogg';
  if (startsWith([0x50, 0x4b, 0x03, 0x04])) return 'application/zip';
  if (startsWith([0xd0, 0xcf, 0x11, 0xe0, 0xa1, 0xb1, 0x1a, 0xe1])) return 'application/x-ole-storage';
  if (brandOf(bytes) !== null) return isForeignPicture(bytes) ? null : 'audio/mp4';
  // A program is not taken for a text, however short it is.
  return !startsWith([0x4d, 0x5a]) && isText(bytes) ? 'text/plain' : null;
}

/** What no text holds: control characters, but for tabs, new lines and new pages. */
// eslint-disable-next-line no-control-regex -- they are what is looked for
const NO_TEXT = /[\u0000-\u0008\u000b\u000e-\u001f\u007f]/;

/** Whether these bytes begin a text in UTF-8, or in one of the older sets of eight bits, of which no byte is a control character. */
function isText(bytes: Uint8Array): boolean {
  if (bytes.length === 0) return false;
  // The last letter may be cut off with the bytes that are looked at.
  const text = new TextDecoder('utf-8').decode(bytes, { stream: true });
  return !NO_TEXT.test(text);
}

/** What the ending of a name says that a file is no text, whatever its bytes are. */
const NO_TEXT_NAME =
  /\.(?:jpe?g|png|webp|gif|heic|avif|bmp|tiff?|pdf|zip|docx?|xlsx?|pptx?|od[tsp]|mp[34]|m4a|ogg|webm|wav|exe|dll|com|scr|msi)$/i;

/** As `fileTypeOf`, of a file whose name is known: a picture of which only text came is damaged, and no text. */
export function fileTypeNamed(name: string, bytes: Uint8Array): FileType | null {
  const type = fileTypeOf(bytes);
  return type === 'text/plain' && NO_TEXT_NAME.test(name.trim()) ? null : type;
}

/** The brand of an ISO base media file; null for none. */
function brandOf(bytes: Uint8Array): string | null {
  const text = (from: number, to: number): string => String.fromCharCode(...bytes.subarray(from, to));
  return text(4, 8) === 'ftyp' ? text(8, 12) : null;
}
