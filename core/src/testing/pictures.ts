const bytesOf = (base64: string): Uint8Array => Uint8Array.from(atob(base64), (letter) => letter.charCodeAt(0));
const bytes = (text: string): number[] => [...text].map((letter) => letter.charCodeAt(0));

/** 8 by 4 pixels from red to blue, as ImageMagick writes them. */
export const smallJpeg = bytesOf(
  '/9j/4AAQSkZJRgABAQAAAQABAAD/2wBDACgcHiMeGSgjISMtKygwPGRBPDc3PHtYXUlkkYCZlo+AjIqgtObDoKrarYqMyP/L2u71////m8H////6/+b9//j/2wBDASstLTw1PHZBQXb4pYyl+Pj4+Pj4+Pj4+Pj4+Pj4+Pj4+Pj4+Pj4+Pj4+Pj4+Pj4+Pj4+Pj4+Pj4+Pj4+Pj4+Pj/wAARCAAEAAgDASIAAhEBAxEB/8QAFQABAQAAAAAAAAAAAAAAAAAAAAX/xAAXEAEAAwAAAAAAAAAAAAAAAAAAAhNR/8QAFQEBAQAAAAAAAAAAAAAAAAAAAgX/xAAXEQADAQAAAAAAAAAAAAAAAAAAAhJR/9oADAMBAAIRAxEAPwCdZLQFCFwdtp//2Q==',
);

/** A segment of a JPEG. */
export const jpegSegment = (marker: number, content: readonly number[]): number[] => [
  0xff,
  marker,
  (content.length + 2) >> 8,
  (content.length + 2) & 0xff,
  ...content,
];
/** An Exif directory with a place in words and how the picture is turned; big-endian, as some cameras write it. */
const exif = (turned: number): number[] =>
  jpegSegment(0xe1, [
    ...[...bytes('Exif\0\0MM'), 0, 0x2a, 0, 0, 0, 8, 0, 2],
    ...[0x01, 0x0e, 0, 2, 0, 0, 0, 12, 0, 0, 0, 38],
    ...[0x01, 0x12, 0, 3, 0, 0, 0, 1, 0, turned, 0, 0],
    ...[0, 0, 0, 0, ...bytes('47.2N 11.4E\0')],
  ]);
/** The same with everything that a camera writes beside it. */
export const notedJpeg = (turned: number): Uint8Array =>
  Uint8Array.from([
    ...smallJpeg.subarray(0, 20),
    ...exif(turned),
    ...jpegSegment(0xe1, bytes('http://ns.adobe.com/xap/1.0/\0<photographer>Eva</photographer>')),
    ...jpegSegment(0xe2, bytes('ICC_PROFILE\0of a screen')),
    ...jpegSegment(0xe2, bytes('MPF\0another picture')),
    ...jpegSegment(0xfe, bytes('made by a telephone')),
    ...smallJpeg.subarray(20),
    ...bytes('and a film of it'),
  ]);
