import { PDFDocument, type PDFPage } from 'pdf-lib';
import { A4, MILLIMETRE, Paper, type Picture } from './paper';
import { embedFaces, type Face, type FontName, type ReadFont } from './paper-fonts';

/** A document that goes behind a paper. */
export interface DocumentBehind {
  readonly name: string;
  /** Which of its pages, counted from 1; null for all. */
  readonly pages: readonly number[] | null;
  /** Null where it could not be had. */
  readonly content: Picture | { readonly content: Uint8Array; readonly mediaType: 'application/pdf' } | null;
}

const MARGIN = 16 * MILLIMETRE;
const FOOT_SIZE = 7;

/**
 * One PDF of a paper and the documents behind it, in their order, each page with what it is of at its foot. What is locked or damaged, or
 * could not be had, is not passed over in silence: a page stands in its place and says so.
 *
 * @param about what the paper is of, such as a number of a work order
 */
export async function withDocuments(
  paper: Uint8Array,
  about: string,
  documents: readonly DocumentBehind[],
  read: ReadFont,
): Promise<Uint8Array> {
  if (documents.length === 0) return paper;
  const whole = await PDFDocument.load(paper);
  const faces = await embedFaces(whole, read);
  for (const { name, pages, content } of documents) {
    if (content === null) {
      await addNote(whole, name, 'It was not on the phone when this was printed, and there was no signal.', read);
    } else if (content.mediaType === 'application/pdf') {
      await addPdf(whole, faces, about, { name, pages, content: content.content }, read);
    } else {
      const picture: Picture = { content: content.content, mediaType: content.mediaType };
      await addOf(whole, await pictureSheet(name, picture, read).catch(() => null), name, read);
    }
  }
  return whole.save();
}

async function addPdf(
  whole: PDFDocument,
  faces: Readonly<Record<FontName, Face>>,
  about: string,
  {
    name,
    pages,
    content,
  }: { readonly name: string; readonly pages: readonly number[] | null; readonly content: Uint8Array },
  read: ReadFont,
): Promise<void> {
  const taken = await takePages(whole, content, pages).catch(() => null);
  if (taken === null)
    return addNote(whole, name, 'It is locked or damaged, so that it could not be printed with this.', read);
  const { copied, there, missing, count } = taken;
  for (const [index, page] of copied.entries()) {
    whole.addPage(page);
    footOf(page, faces.text, `${about} · ${name}, page ${there[index] ?? 0} of ${count}`);
  }
  if (missing.length > 0)
    await addNote(
      whole,
      name,
      `It has ${count === 1 ? '1 page' : `${count} pages`}: there is no ${missing.join(', ')}.`,
      read,
    );
}

/** The pages that are wanted, and which of them there are. Rejects for what is locked or damaged, which shows only as it is read. */
async function takePages(whole: PDFDocument, content: Uint8Array, pages: readonly number[] | null) {
  const document = await PDFDocument.load(content);
  const count = document.getPageCount();
  const wanted = pages ?? Array.from({ length: count }, (_, index) => index + 1);
  const there = wanted.filter((page) => page <= count);
  const copied = await whole.copyPages(
    document,
    there.map((page) => page - 1),
  );
  return { copied, there, missing: wanted.filter((page) => page > count), count };
}

/** Small, at the very foot, where hardly a page has anything. */
function footOf(page: PDFPage, face: Face, text: string): void {
  const { x, y } = page.getMediaBox();
  let at = x + MARGIN;
  for (const run of face.runs(text)) {
    page.drawText(run.text, { x: at, y: y + 6, size: FOOT_SIZE, font: run.font });
    at += run.font.widthOfTextAtSize(run.text, FOOT_SIZE);
  }
}

async function pictureSheet(name: string, picture: Picture, read: ReadFont): Promise<Uint8Array> {
  const sheet = await Paper.begin(name, A4, MARGIN, read);
  sheet.heading(name);
  await sheet.picture(picture, MARGIN, sheet.top + 8, sheet.room, A4.height - sheet.top - MARGIN - 16);
  return sheet.finish();
}

async function addOf(whole: PDFDocument, sheet: Uint8Array | null, name: string, read: ReadFont): Promise<void> {
  if (sheet === null) return addNote(whole, name, 'It is damaged, so that it could not be printed with this.', read);
  const document = await PDFDocument.load(sheet);
  for (const page of await whole.copyPages(document, document.getPageIndices())) whole.addPage(page);
}

async function addNote(whole: PDFDocument, name: string, why: string, read: ReadFont): Promise<void> {
  const sheet = await Paper.begin(name, A4, MARGIN, read);
  sheet.heading(name);
  sheet.paragraph(why);
  const document = await PDFDocument.load(await sheet.finish());
  for (const page of await whole.copyPages(document, document.getPageIndices())) whole.addPage(page);
}
