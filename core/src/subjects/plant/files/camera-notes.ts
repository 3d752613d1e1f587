import type { PictureType } from './files';

/**
 * A picture without what the camera wrote beside it: where and when it was taken, with which device, the small picture and the film
 * that some put behind it. How a JPEG is turned, and the colours, stay. Nothing is computed anew, so it looks as it did. What is damaged is
 * given back from the damage on as it came.
 */
export function withoutCameraNotes(picture: Uint8Array, type: PictureType): Uint8Array {
  switch (type) {
    case 'image/jpeg':
      return jpegWithoutNotes(picture);
    case 'image/png':
      return pngWithoutNotes(picture);
    case 'image/webp':
      return webpWithoutNotes(picture);
  }
}

const joined = (parts: readonly Uint8Array[]): Uint8Array => {
  const whole = new Uint8Array(parts.reduce((sum, part) => sum + part.length, 0));
  let at = 0;
  for (const part of parts) {
    whole.set(part, at);
    at += part.length;
  }
  return whole;
};
const textAt = (bytes: Uint8Array, from: number, length: number): string =>
  String.fromCharCode(...bytes.subarray(from, from + length));
const viewOf = (bytes: Uint8Array): DataView => new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);

// Markers of JPEG: ITU-T T.81 (1992), table B.1.
const SCAN = 0xda;
const END = 0xd9;
const COMMENT = 0xfe;
const APPLICATION = { jfif: 0xe0, exif: 0xe1, colours: 0xe2, adobe: 0xee };
const isApplication = (marker: number): boolean => marker >= 0xe0 && marker <= 0xef;

function jpegWithoutNotes(jpeg: Uint8Array): Uint8Array {
  const view = viewOf(jpeg);
  const kept: Uint8Array[] = [jpeg.subarray(0, 2)];
  let turned = UPRIGHT;
  let at = 2;
  while (at + 4 <= jpeg.length) {
    if (jpeg[at] !== 0xff) break;
    if (jpeg[at + 1] === 0xff) {
      // Filled up before a marker.
      at += 1;
      continue;
    }
    const marker = jpeg[at + 1] ?? 0;
    if (marker === END) return joined([...withTurn(kept, turned), jpeg.subarray(at, at + 2)]);
    const end = at + 2 + view.getUint16(at + 2);
    if (end > jpeg.length || end < at + 4) break;
    const segment = jpeg.subarray(at, end);
    if (marker === APPLICATION.exif && turned === UPRIGHT) turned = turnIn(segment);
    kept.push(keptOf(marker, segment));
    at = end;
    if (marker === SCAN) {
      const from = at;
      at = endOfScan(jpeg, at);
      kept.push(jpeg.subarray(from, at));
    }
  }
  const isEnd = jpeg[at] === 0xff && jpeg[at + 1] === END;
  return joined([...withTurn(kept, turned), isEnd ? jpeg.subarray(at, at + 2) : jpeg.subarray(at)]);
}

const nothing = new Uint8Array();
/** `Adobe` with its version, its flags and how colours are turned, and no byte more (Adobe Technical Note 5116; from memory). */
const ADOBE_BYTES = 16;
/** `JFIF` with its version and how dense it is, without a small picture (ITU-T T.871, 10.1). */
const JFIF_BYTES = 18;

/** What is kept of a segment: what draws the picture, how its colours are meant, and of the two heads as much as says that. */
function keptOf(marker: number, segment: Uint8Array): Uint8Array {
  if (marker === COMMENT) return nothing;
  if (!isApplication(marker)) return segment;
  if (marker === APPLICATION.colours) return textAt(segment, 4, 11) === 'ICC_PROFILE' ? segment : nothing;
  if (marker === APPLICATION.jfif) return headOf(segment, 'JFIF\0', JFIF_BYTES, [16, 17]);
  if (marker === APPLICATION.adobe) return headOf(segment, 'Adobe', ADOBE_BYTES, [9, 10, 11, 12, 13, 14]);
  return nothing;
}

/** The head that a segment has under its name, cut to its length and with these bytes empty; nothing where it is another. */
function headOf(segment: Uint8Array, name: string, length: number, empty: readonly number[]): Uint8Array {
  if (segment.length < length || textAt(segment, 4, name.length) !== name) return nothing;
  const head = segment.slice(0, length);
  for (const at of empty) head[at] = 0;
  viewOf(head).setUint16(2, length - 2);
  return head;
}

/** Where the coded picture ends: at a marker that is no byte of it (`FF 00`) and none between its parts (`FF D0` to `FF D7`). */
function endOfScan(jpeg: Uint8Array, from: number): number {
  for (let at = from; at + 1 < jpeg.length; at += 1) {
    if (jpeg[at] !== 0xff) continue;
    const next = jpeg[at + 1] ?? 0;
    if (next !== 0 && next !== 0xff && !(next >= 0xd0 && next <= 0xd7)) return at;
  }
  return jpeg.length;
}

// How a picture is turned: Exif 2.32 (CIPA DC-008), tag 0112 of the first directory, 1 to 8, 1 for upright (memory; read back in
// the tests by a library).
const UPRIGHT = 1;
const ORIENTATION = 0x0112;
const TIFF_AT = 10;
const ENTRY_BYTES = 12;

/** How the picture is turned, by an Exif segment; upright where it says nothing that can be read. */
function turnIn(segment: Uint8Array): number {
  if (textAt(segment, 4, 6) !== 'Exif\0\0' || segment.length < TIFF_AT + 8) return UPRIGHT;
  const tiff = viewOf(segment.subarray(TIFF_AT));
  const isLittle = textAt(segment, TIFF_AT, 2) === 'II';
  const directory = tiff.getUint32(4, isLittle);
  if (directory + 2 > tiff.byteLength) return UPRIGHT;
  const count = tiff.getUint16(directory, isLittle);
  for (let index = 0; index < count; index += 1) {
    const entry = directory + 2 + index * ENTRY_BYTES;
    if (entry + ENTRY_BYTES > tiff.byteLength) return UPRIGHT;
    if (tiff.getUint16(entry, isLittle) !== ORIENTATION) continue;
    const turn = tiff.getUint16(entry + 8, isLittle);
    return turn >= 1 && turn <= 8 ? turn : UPRIGHT;
  }
  return UPRIGHT;
}

/** With an Exif segment behind the first marker that says how the picture is turned, and nothing else. */
function withTurn([first, ...others]: readonly Uint8Array[], turned: number): Uint8Array[] {
  const start = first ?? new Uint8Array();
  if (turned === UPRIGHT) return [start, ...others];
  const directory = [1, 0, 0x12, 0x01, 3, 0, 1, 0, 0, 0, turned, 0, 0, 0, 0, 0, 0, 0];
  const tiff = [0x49, 0x49, 0x2a, 0, 8, 0, 0, 0, ...directory];
  const exif = [0x45, 0x78, 0x69, 0x66, 0, 0];
  const length = 2 + exif.length + tiff.length;
  return [start, Uint8Array.from([0xff, APPLICATION.exif, length >> 8, length & 0xff, ...exif, ...tiff]), ...others];
}

/** Chunks of PNG (ISO/IEC 15948, 11.2 and 11.3; the moving ones of its third edition) that draw the picture or say how it is meant. */
const pngPicture: ReadonlySet<string> = new Set([
  ...['IHDR', 'PLTE', 'IDAT', 'IEND', 'tRNS', 'cHRM', 'gAMA', 'iCCP', 'sBIT', 'sRGB', 'cICP', 'bKGD', 'pHYs'],
  ...['acTL', 'fcTL', 'fdAT'],
]);

function pngWithoutNotes(png: Uint8Array): Uint8Array {
  const view = viewOf(png);
  const kept: Uint8Array[] = [png.subarray(0, 8)];
  let at = 8;
  while (at + 12 <= png.length) {
    const end = at + 12 + view.getUint32(at);
    if (end > png.length) break;
    const type = textAt(png, at + 4, 4);
    if (pngPicture.has(type)) kept.push(png.subarray(at, end));
    at = end;
    if (type === 'IEND') return joined(kept);
  }
  return joined([...kept, png.subarray(at)]);
}

/** Chunks of WebP (RFC 9649, 2.5 to 2.7) that draw the picture or say how it is meant, and the flags that announce the others. */
const webpPicture: ReadonlySet<string> = new Set(['VP8 ', 'VP8L', 'VP8X', 'ALPH', 'ANIM', 'ANMF', 'ICCP']);
const WEBP_NOTE_FLAGS = 0x0c;
const RIFF_HEAD = 12;

function webpWithoutNotes(webp: Uint8Array): Uint8Array {
  if (webp.length < RIFF_HEAD) return webp;
  const view = viewOf(webp);
  const kept: Uint8Array[] = [];
  const last = Math.min(webp.length, 8 + view.getUint32(4, true));
  let at = RIFF_HEAD;
  while (at + 8 <= last) {
    const size = view.getUint32(at + 4, true);
    const end = at + 8 + size + (size % 2);
    if (end > last) break;
    const type = textAt(webp, at, 4);
    const chunk = webp.slice(at, end);
    if (type === 'VP8X' && chunk.length > 8) chunk[8] = (chunk[8] ?? 0) & ~WEBP_NOTE_FLAGS;
    if (webpPicture.has(type)) kept.push(chunk);
    at = end;
  }
  const whole = joined([webp.slice(0, RIFF_HEAD), ...kept, webp.subarray(Math.min(at, last), last)]);
  viewOf(whole).setUint32(4, whole.length - 8, true);
  return whole;
}
