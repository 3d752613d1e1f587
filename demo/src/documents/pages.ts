import { PDFDocument, rgb, StandardFonts, type PDFFont, type PDFPage } from 'pdf-lib';

const MARGIN = 56;
const INK = rgb(0.06, 0.13, 0.12);
const LINE = rgb(0.7, 0.74, 0.72);
const SHADE = rgb(0.93, 0.95, 0.94);
/** The same bytes whenever it is made. */
const PRINTED = new Date('2014-09-01T00:00:00Z');

/** A piece of a page, in reading order. */
export type Piece =
  | { readonly heading: string }
  | { readonly text: string }
  | { readonly steps: readonly string[] }
  | { readonly table: readonly (readonly string[])[]; readonly widths: readonly number[] }
  | { readonly figure: (page: PDFPage, fonts: Fonts, top: number) => number };

export interface Fonts {
  readonly plain: PDFFont;
  readonly bold: PDFFont;
}

export interface Booklet {
  readonly title: string;
  readonly maker: string;
  /** Width and height in points (1/72 inch). */
  readonly size: readonly [number, number];
  readonly pages: readonly (readonly Piece[])[];
}

/** Sets a booklet: each page with its running head and its number. */
export async function setBooklet({ title, maker, size, pages }: Booklet): Promise<Uint8Array> {
  const document = await PDFDocument.create();
  document.setTitle(title);
  document.setAuthor(maker);
  document.setCreationDate(PRINTED);
  document.setModificationDate(PRINTED);
  const fonts: Fonts = {
    plain: await document.embedFont(StandardFonts.Helvetica),
    bold: await document.embedFont(StandardFonts.HelveticaBold),
  };
  for (const [index, pieces] of pages.entries()) {
    const page = document.addPage([...size]);
    const [width, height] = size;
    page.drawText(title, { x: MARGIN, y: height - 36, size: 9, font: fonts.plain, color: INK });
    const number = `${index + 1} / ${pages.length}`;
    const numberWidth = fonts.plain.widthOfTextAtSize(number, 9);
    page.drawText(number, { x: width - MARGIN - numberWidth, y: 30, size: 9, font: fonts.plain, color: INK });
    page.drawText(maker, { x: MARGIN, y: 30, size: 9, font: fonts.plain, color: INK });
    let top = height - 76;
    for (const piece of pieces) top = draw(page, piece, fonts, top);
    if (top < 44) throw new Error(`Page ${index + 1} of “${title}” is too full.`);
  }
  return document.save();
}

function draw(page: PDFPage, piece: Piece, fonts: Fonts, top: number): number {
  if ('heading' in piece) {
    page.drawText(piece.heading, { x: MARGIN, y: top - 16, size: 18, font: fonts.bold, color: INK });
    return top - 38;
  }
  if ('text' in piece) return paragraph(page, piece.text, fonts.plain, MARGIN, top) - 8;
  if ('steps' in piece) {
    let y = top;
    for (const [index, step] of piece.steps.entries()) {
      page.drawText(`${index + 1}.`, { x: MARGIN, y: y - 11, size: 11, font: fonts.bold, color: INK });
      y = paragraph(page, step, fonts.plain, MARGIN + 24, y) - 5;
    }
    return y - 6;
  }
  if ('figure' in piece) return piece.figure(page, fonts, top);
  return table(page, piece.table, piece.widths, fonts, top);
}

function paragraph(page: PDFPage, text: string, font: PDFFont, x: number, top: number): number {
  const room = page.getWidth() - MARGIN - x;
  let line = '';
  let y = top;
  const put = (): void => {
    page.drawText(line, { x, y: y - 11, size: 11, font, color: INK });
    y -= 15;
  };
  for (const word of text.split(' ')) {
    const longer = line === '' ? word : `${line} ${word}`;
    if (font.widthOfTextAtSize(longer, 11) > room && line !== '') {
      put();
      line = word;
    } else line = longer;
  }
  if (line !== '') put();
  return y;
}

function table(
  page: PDFPage,
  rows: readonly (readonly string[])[],
  widths: readonly number[],
  fonts: Fonts,
  top: number,
): number {
  const rowHeight = 20;
  const whole = widths.reduce((sum, width) => sum + width, 0);
  let y = top;
  for (const [index, row] of rows.entries()) {
    if (index === 0) page.drawRectangle({ x: MARGIN, y: y - rowHeight, width: whole, height: rowHeight, color: SHADE });
    let x = MARGIN;
    for (const [column, cell] of row.entries()) {
      page.drawText(cell, { x: x + 5, y: y - 14, size: 10, font: index === 0 ? fonts.bold : fonts.plain, color: INK });
      x += widths[column] ?? 60;
    }
    y -= rowHeight;
    page.drawLine({ start: { x: MARGIN, y }, end: { x: MARGIN + whole, y }, thickness: 0.6, color: LINE });
  }
  return y - 14;
}
