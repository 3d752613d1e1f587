import fc from 'fast-check';
import { withoutCameraNotes } from './camera-notes';
import { jpegSegment, notedJpeg, smallJpeg as jpeg } from '../../../testing/pictures';
import { pictureTypes } from './files';

const bytesOf = (base64: string): Uint8Array => Uint8Array.from(atob(base64), (letter) => letter.charCodeAt(0));
const bytes = (text: string): number[] => [...text].map((letter) => letter.charCodeAt(0));
const textOf = (content: Uint8Array): string => String.fromCharCode(...content);

const webp = bytesOf(
  'UklGRlQAAABXRUJQVlA4IEgAAABwAwCdASoIAAQAAgA0JagCdGuA/gGEAfwD2/7sA/QAGBrNsAAA/vneRWKf/+oYInZ3//y2zOa5f/9xn/v2/lRBeDPvV53dgAA=',
);
/** One that says when it was made. */
const png = bytesOf(
  'iVBORw0KGgoAAAANSUhEUgAAAAgAAAAEBAMAAABB42PDAAAABGdBTUEAALGPC/xhBQAAACBjSFJNAAB6JgAAgIQAAPoAAACA6AAAdTAAAOpgAAA6mAAAF3CculE8AAAAD1BMVEX/AACqAFVVAKoAAP////+bBLeIAAAAAWJLR0QEj2jZUQAAAAd0SU1FB+oLGwQuBfenJrQAAAAVSURBVAjXY2AAAUEgYFACAgZjIAAACWABmVm4Ek8AAAAASUVORK5CYII=',
);

describe('a picture without what the camera wrote beside it', () => {
  it('says no more where, when, by whom and with what it was taken, and is the same picture', () => {
    const clean = withoutCameraNotes(notedJpeg(1), 'image/jpeg');
    expect(textOf(clean)).not.toMatch(/47\.2N|Eva|MPF|telephone|film/);
    const profile = jpegSegment(0xe2, bytes('ICC_PROFILE\0of a screen'));
    expect([...clean]).toEqual([...jpeg.subarray(0, 20), ...profile, ...jpeg.subarray(20)]);
  });

  it('keeps no small picture beside its head, nothing behind Adobe’s, and no chunk that nobody knows', () => {
    const small = jpegSegment(0xe0, bytes('JFXX\0\u0010 a small picture'));
    const adobe = jpegSegment(0xee, [...bytes('Adobe'), 0, 100, 1, 2, 3, 4, 1, ...bytes('Eva was here')]);
    const clean = withoutCameraNotes(
      Uint8Array.from([...jpeg.subarray(0, 2), ...small, ...adobe, ...jpeg.subarray(2)]),
      'image/jpeg',
    );
    expect(textOf(clean)).not.toMatch(/small picture|Eva/);
    // How its colours are turned stays.
    expect(textOf(clean)).toContain(`Adobe${String.fromCharCode(0, 0, 0, 0, 0, 0, 1)}`);
    const note = [0, 0, 0, 3, ...bytes('prVtEva'), 0, 0, 0, 0];
    const end = png.length - 12;
    const withNote = Uint8Array.from([...png.subarray(0, end), ...note, ...png.subarray(end)]);
    expect([...withoutCameraNotes(withNote, 'image/png')]).toEqual([...withoutCameraNotes(png, 'image/png')]);
    const unknown = Uint8Array.from([...webp, ...bytes('NOTE'), 4, 0, 0, 0, ...bytes('Eva!')]);
    new DataView(unknown.buffer).setUint32(4, unknown.length - 8, true);
    expect([...withoutCameraNotes(unknown, 'image/webp')]).toEqual([...webp]);
  });

  it.each([2, 3, 6, 8])('stays turned as it was: %i', (turned) => {
    const clean = withoutCameraNotes(notedJpeg(turned), 'image/jpeg');
    expect(textOf(clean)).not.toContain('47.2N');
    // Little-endian, its first entry: 0112, a short, once.
    expect(textOf(clean)).toContain(String.fromCharCode(0x12, 1, 3, 0, 1, 0, 0, 0, turned, 0));
  });

  it('is as it came where there is nothing to take out', () => {
    expect([...withoutCameraNotes(jpeg, 'image/jpeg')]).toEqual([...jpeg]);
    expect([...withoutCameraNotes(webp, 'image/webp')]).toEqual([...webp]);
  });

  it('of PNG and WebP loses its notes too', () => {
    const cleanPng = withoutCameraNotes(png, 'image/png');
    expect(textOf(png)).toContain('tIME');
    expect(textOf(cleanPng)).not.toContain('tIME');
    expect(cleanPng).toHaveLength(png.length - 12 - 7);
    const noteOfWebp = [...bytes('EXIF'), 11, 0, 0, 0, ...bytes('47.2N 11.4E'), 0];
    const withNote = Uint8Array.from([...webp, ...noteOfWebp]);
    new DataView(withNote.buffer).setUint32(4, withNote.length - 8, true);
    expect([...withoutCameraNotes(withNote, 'image/webp')]).toEqual([...webp]);
  });

  it('is never more than it was, but for how it is turned, whatever came in; a second time changes nothing', () => {
    const begun = { 'image/jpeg': jpeg, 'image/png': png, 'image/webp': webp };
    fc.assert(
      fc.property(
        fc.constantFrom(...pictureTypes),
        fc.nat(300),
        fc.uint8Array({ maxLength: 200 }),
        (type, whole, more) => {
          const given = Uint8Array.from([...begun[type].subarray(0, Math.max(12, whole)), ...more]);
          const once = withoutCameraNotes(given, type);
          expect(once.length).toBeLessThanOrEqual(given.length + 36);
          expect([...withoutCameraNotes(once, type)]).toEqual([...once]);
        },
      ),
    );
  });
});
