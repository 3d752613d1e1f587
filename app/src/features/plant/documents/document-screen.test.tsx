import type { AssetDocument } from '@oilcan/core/plant/documents';
import { assetId, put, site, smallWorks } from '@oilcan/core/testing';
import { saveFile } from '../../../data/browser/save-file';
import { press, words } from '../../../testing/hands';
import { nameOf } from '../../../data/browser/name-of';
import { TestWorks } from '../../../testing/works';
import { DocumentList } from './document-list';
import { DocumentScreen } from './document-screen';

jest.mock('../../../data/browser/save-file', () => ({ saveFile: jest.fn() }));
jest.mock('./pdf-view', () => ({ PdfView: () => 'the pages of the PDF' }));

/** Each test has a file of its own: the phone keeps them. */
let fileId = '';
let files = 0;
beforeEach(() => {
  files += 1;
  fileId = String(files).repeat(64).slice(0, 64);
});
const aDocument = (given: Partial<AssetDocument> = {}): AssetDocument => ({
  id: 'd-1',
  siteId: site,
  assetId,
  name: 'Gearbox manual',
  mediaType: 'application/pdf',
  fileId: fileId as AssetDocument['fileId'],
  bytes: 1_000,
  ...given,
});
const bytes = (text: string): Uint8Array => Uint8Array.from(text, (letter) => letter.charCodeAt(0) & 255);

let works: TestWorks;
const open = async (document: AssetDocument, content?: Uint8Array, signal: 'good' | 'none' = 'good'): Promise<void> => {
  // Every test has a file of its own, which is named by what is in it.
  const file = content === undefined ? undefined : Uint8Array.from([...content, files]);
  const fileId = file === undefined ? document.fileId : nameOf(file);
  works = await TestWorks.open([...smallWorks(), put('documents', { ...document, fileId })]);
  if (file !== undefined) works.documents.set(fileId, file);
  works.server.signal = signal;
  await works.show(<DocumentScreen documentId={document.id} />);
};
afterEach(() => works.close());

describe('a document', () => {
  it('opens as what it is', async () => {
    await open(aDocument(), bytes('%PDF-1.7\n…'));
    expect(words()).toContain('the pages of the PDF');
  });

  it('that is another kind than is listed says so, and opens all the same', async () => {
    await open(aDocument({ mediaType: 'image/png' }), bytes('%PDF-1.7\n…'));
    expect(words()).toMatch(/Listed as a .*; it is a PDF/);
    expect(words()).toContain('the pages of the PDF');
  });

  it('that is nothing which can be shown can be saved', async () => {
    await open(aDocument(), bytes('MZ this is a program'));
    expect(words()).toContain('Gearbox manual says that it is a PDF and is not one');
    await press('Save it');
    expect(saveFile).toHaveBeenCalledWith('Gearbox manual', 'application/octet-stream', expect.anything());
  });

  it('of which the file is missing, of which nothing is here yet, or that is too large says which', async () => {
    await open(aDocument());
    expect(words()).toContain('Gearbox manual is listed, but its file is not on the server.');
    await works.close();
    await open(aDocument(), undefined, 'none');
    expect(words()).toContain('Gearbox manual is not on this phone yet.');
    await works.close();
    await open(aDocument({ bytes: 200_000_000 }));
    expect(words()).toMatch(/Gearbox manual has .*MB, which is too much to open on a phone/);
  });

  it('is read again without signal once it was opened', async () => {
    await open(aDocument(), bytes('%PDF-1.7\n…'));
    works.server.signal = 'none';
    works.documents.clear();
    await works.show(<DocumentScreen documentId="d-1" />);
    expect(words()).toContain('the pages of the PDF');
  });

  it('that was taken away says so', async () => {
    works = await TestWorks.open(smallWorks());
    await works.show(<DocumentScreen documentId="gone" />);
    expect(words()).toContain('This document is not on this phone');
  });

  it('stands in the list of its machine', async () => {
    works = await TestWorks.open([...smallWorks(), put('documents', aDocument())]);
    await works.show(<DocumentList assetId={assetId} />);
    expect(words()).toMatch(/Gearbox manual.*PDF/);
  });
});
