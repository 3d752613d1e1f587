import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { PDFDocument, StandardFonts } from 'pdf-lib';
import { withDocuments, type DocumentBehind } from './documents-behind';
import { A4, Paper } from './paper';
import type { ReadFont } from './paper-fonts';

// What we print is read back by others: the text by poppler.
const root = join(__dirname, '../..');
const read: ReadFont = async (file) => {
  const family = file.startsWith('barlow') ? 'barlow-condensed' : 'atkinson-hyperlegible-next';
  return readFileSync(join(root, 'node_modules/@fontsource', family, 'files', file));
};

let folder: string;
beforeAll(() => {
  folder = mkdtempSync(join(tmpdir(), 'oilcan-behind-'));
});
afterAll(() => rmSync(folder, { recursive: true, force: true }));

/** The text of each page. */
function pagesOf(content: Uint8Array): string[] {
  const file = join(folder, 'paper.pdf');
  writeFileSync(file, content);
  const text = execFileSync('pdftotext', ['-layout', file, '-']).toString();
  return text
    .split('\f')
    .slice(0, -1)
    .map((page) => page.replace(/\s+/g, ' ').trim());
}

async function card(): Promise<Uint8Array> {
  const paper = await Paper.begin('W-1', A4, 40, read);
  paper.heading('The job card');
  return paper.finish();
}

async function manual(count: number): Promise<Uint8Array> {
  const document = await PDFDocument.create();
  const font = await document.embedFont(StandardFonts.Helvetica);
  for (let page = 1; page <= count; page += 1)
    document.addPage([420, 595]).drawText(`Chapter ${page}`, { x: 50, y: 300, size: 14, font });
  return document.save();
}

const pdf = async (name: string, count: number, pages: readonly number[] | null = null): Promise<DocumentBehind> => ({
  name,
  pages,
  content: { content: await manual(count), mediaType: 'application/pdf' },
});
/** One pixel. */
const png = Buffer.from(
  'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==',
  'base64',
);

describe('documents behind a paper', () => {
  const behind = async (...documents: readonly DocumentBehind[]) =>
    pagesOf(await withDocuments(await card(), 'W-1', documents, read));

  it('follow it in their order, each page with what it is of at its foot', async () => {
    expect(await behind(await pdf('Manual', 4, [3, 2]), await pdf('Drawing', 1))).toEqual([
      expect.stringContaining('The job card'),
      'Chapter 3 W-1 · Manual, page 3 of 4',
      'Chapter 2 W-1 · Manual, page 2 of 4',
      'Chapter 1 W-1 · Drawing, page 1 of 1',
    ]);
  });

  it('may be pictures, set on a page of their own under their name', async () => {
    const picture = {
      name: 'Sketch of the brake',
      pages: null,
      content: { content: png, mediaType: 'image/png' },
    } as const;
    expect(await behind(picture)).toEqual([expect.any(String), 'Sketch of the brake']);
  });

  it('that cannot be had, are damaged, or do not have a page, are told of in their place', async () => {
    const bytes = new TextEncoder().encode('%PDF-1.7 and nothing more');
    const pages = await behind(
      { name: 'Far', pages: null, content: null },
      { name: 'Broken', pages: null, content: { content: bytes, mediaType: 'application/pdf' } },
      { name: 'No picture', pages: null, content: { content: bytes, mediaType: 'image/jpeg' } },
      await pdf('Manual', 2, [2, 7, 8]),
    );
    expect(pages.slice(1)).toEqual([
      'Far It was not on the phone when this was printed, and there was no signal.',
      'Broken It is locked or damaged, so that it could not be printed with this.',
      'No picture It is damaged, so that it could not be printed with this.',
      'Chapter 2 W-1 · Manual, page 2 of 2',
      'Manual It has 2 pages: there is no 7, 8.',
    ]);
  });

  it('leave a paper as it is where none was chosen', async () => {
    const alone = await card();
    expect(await withDocuments(alone, 'W-1', [], read)).toBe(alone);
  });
});
