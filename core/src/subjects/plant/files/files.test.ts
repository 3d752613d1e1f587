import { asId } from '../../../kernel/ids';
import { fileTypeNamed, fileTypeOf, isForeignPicture, pictureTypeOf } from './file-signatures';
import { isFileId } from './files';
import { fileNamedBy } from '../../../registry/operations';

const sha = 'e3b0c44298fc1c149afbf4c8996fb92427ae41e4649b934ca495991b7852b855';

describe('files', () => {
  it('are named by their SHA-256 in lower-case hexadecimal', () => {
    expect(isFileId(sha)).toBe(true);
    for (const text of ['', sha.toUpperCase(), sha.slice(1), `${sha}0`, '../etc/passwd'])
      expect(isFileId(text)).toBe(false);
  });

  // Signatures: PDF ISO 32000-1 section 7.5.2, Matroska RFC 9559 section 7.1, Ogg RFC 3533 section 6, ISO base media ISO/IEC 14496-12.
  it.each([
    ['%PDF-1.7', 'application/pdf'],
    ['\u001a\u0045\u00df\u00a3', 'audio/webm'],
    ['OggS', 'audio/ogg'],
    ['\0\0\0\u0018ftypM4A ', 'audio/mp4'],
    ['\0\0\0\u0018ftypheic', null],
    ['\0\0\0\u0018ftypavif', null],
    ['MZ', null],
    // Kept as text and never shown as a page.
    ['<html>', 'text/plain'],
    ['Date;Value\r\n1.12.;4,7\r\n', 'text/plain'],
    ['\u00d6l gewechselt', 'text/plain'],
    // ZIP: APPNOTE 6.3.10, section 4.3.7; compound file: [MS-CFB] section 2.2.
    ['PK\u0003\u0004', 'application/zip'],
    ['\u00d0\u00cf\u0011\u00e0\u00a1\u00b1\u001a\u00e1', 'application/x-ole-storage'],
    ['\u0000\u0001\u0002binary', null],
  ])('that begin with %j are %s', (text, type) => {
    const bytes = Uint8Array.from(text, (character) => character.charCodeAt(0));
    expect(fileTypeOf(bytes)).toBe(type);
    expect(isForeignPicture(bytes)).toBe(/heic|avif/.test(text));
  });

  it('are no text where their name says that they are something else', () => {
    const text = new TextEncoder().encode('nothing but words');
    expect(['notes.txt', 'values.csv', 'README'].map((name) => fileTypeNamed(name, text))).toEqual(
      Array(3).fill('text/plain'),
    );
    expect(['holiday.jpg', 'Manual.PDF', 'list.xlsx', 'run.exe'].map((name) => fileTypeNamed(name, text))).toEqual(
      Array(4).fill(null),
    );
  });

  it('go before the operation that names them', () => {
    expect(fileNamedBy({ name: 'photo.add', args: { fileId: asId(sha) } })).toBe(sha);
    expect(fileNamedBy({ name: 'photo.add', args: { fileId: 'x' } })).toBeNull();
    expect(fileNamedBy({ name: 'note.add', args: { fileId: sha } })).toBeNull();
    expect(fileNamedBy({ name: 'photo.add', args: null })).toBeNull();
  });

  // Signatures: JPEG ISO/IEC 10918-1 annex B (SOI, marker), PNG RFC 2083 section 3.1, WebP RFC 9649 section 2.4.
  it.each([
    [[0xff, 0xd8, 0xff, 0xe0], 'image/jpeg'],
    [[137, 80, 78, 71, 13, 10, 26, 10], 'image/png'],
    [[...Buffer.from('RIFF\0\0\0\0WEBPVP8 ')], 'image/webp'],
    [[...Buffer.from('RIFF\0\0\0\0WAVEfmt ')], null],
    [[...Buffer.from('<svg xmlns=')], null],
    [[], null],
  ])('that begin with %j are %s', (bytes, type) => {
    expect(pictureTypeOf(Uint8Array.from(bytes))).toBe(type);
  });
});
