import { PDFDocument, rgb, type PDFPage } from 'pdf-lib';
import QRCode from 'qrcode';
import { embedFaces, type Face, type FontName, type ReadFont } from './paper-fonts';

export const MILLIMETRE = 72 / 25.4;
const INK = rgb(0, 0, 0);
const LINE = rgb(0.55, 0.55, 0.55);
/** Light margin around a QR code, in modules (ISO/IEC 18004, clause 9.1). */
const QUIET_MODULES = 4;

export interface PageSize {
  /** In points. */
  readonly width: number;
  readonly height: number;
}

export const A4: PageSize = { width: 210 * MILLIMETRE, height: 297 * MILLIMETRE };
export const A6: PageSize = { width: 105 * MILLIMETRE, height: 148 * MILLIMETRE };

/** A picture as PDF takes it. */
export interface Picture {
  readonly content: Uint8Array;
  readonly mediaType: 'image/jpeg' | 'image/png';
}

interface TextStyle {
  readonly font?: FontName;
  readonly size?: number;
}

/** Writes pages of one size in black from top to bottom, in points from the upper left. */
export class Paper {
  readonly #document: PDFDocument;
  readonly #faces: Readonly<Record<FontName, Face>>;
  readonly #size: PageSize;
  readonly margin: number;
  #page: PDFPage;
  /** Where the next line begins. */
  top: number;

  private constructor(document: PDFDocument, faces: Readonly<Record<FontName, Face>>, size: PageSize, margin: number) {
    this.#document = document;
    this.#faces = faces;
    this.#size = size;
    this.margin = margin;
    this.#page = document.addPage([size.width, size.height]);
    this.top = margin;
  }

  static async begin(title: string, size: PageSize, margin: number, read: ReadFont): Promise<Paper> {
    const document = await PDFDocument.create();
    document.setTitle(title);
    document.setProducer('Oilcan');
    return new Paper(document, await embedFaces(document, read), size, margin);
  }

  get room(): number {
    return this.#size.width - 2 * this.margin;
  }

  /** Goes on at the head of a new page when less than this is left. */
  need(height: number): void {
    if (this.top + height > this.#size.height - this.margin) this.newPage();
  }

  newPage(): void {
    this.#page = this.#document.addPage([this.#size.width, this.#size.height]);
    this.top = this.margin;
  }

  /** One line at a place; cut to a width, if one is given. */
  textAt(text: string, x: number, top: number, { font = 'text', size = 10 }: TextStyle = {}, width?: number): void {
    const face = this.#faces[font];
    let at = x;
    for (const run of face.runs(width === undefined ? text : this.#cut(text, face, size, width))) {
      this.#page.drawText(run.text, { x: at, y: this.#size.height - top - size, size, font: run.font, color: INK });
      at += run.font.widthOfTextAtSize(run.text, size);
    }
  }

  #cut(text: string, face: Face, size: number, width: number): string {
    if (face.widthOf(text, size) <= width) return text;
    let cut = text;
    while (cut.length > 1 && face.widthOf(`${cut}…`, size) > width) cut = cut.slice(0, -1);
    return `${cut.trimEnd()}…`;
  }

  /** The lines that a text takes in such a width; what is more than the most ends with an ellipsis. */
  linesOf(text: string, { font = 'text', size = 10 }: TextStyle, width: number, most: number): string[] {
    const face = this.#faces[font];
    const lines = this.#lines(text, face, size, width);
    if (lines.length <= most) return lines;
    return [...lines.slice(0, most - 1), this.#cut(lines.slice(most - 1).join(' '), face, size, width)];
  }

  /** A paragraph in a column; moves on by its height. */
  paragraph(text: string, style: TextStyle = {}, indent = 0): void {
    const { font = 'text', size = 10 } = style;
    for (const line of this.#lines(text, this.#faces[font], size, this.room - indent)) {
      this.need(size * 1.4);
      this.textAt(line, this.margin + indent, this.top, style);
      this.top += size * 1.4;
    }
  }

  #lines(text: string, face: Face, size: number, width: number): string[] {
    const lines: string[] = [];
    for (const part of text.split('\n')) {
      let line = '';
      for (const word of part.split(/\s+/).flatMap((each) => this.#pieces(each, face, size, width))) {
        const longer = line === '' ? word : `${line} ${word}`;
        if (face.widthOf(longer, size) > width && line !== '') {
          lines.push(line);
          line = word;
        } else line = longer;
      }
      lines.push(line);
    }
    return lines;
  }

  /** A word that is longer than a line, in pieces that are not. */
  #pieces(word: string, face: Face, size: number, width: number): string[] {
    if (face.widthOf(word, size) <= width) return [word];
    const pieces: string[] = [];
    let piece = '';
    for (const character of word) {
      if (face.widthOf(piece + character, size) > width && piece !== '') {
        pieces.push(piece);
        piece = '';
      }
      piece += character;
    }
    return [...pieces, piece];
  }

  heading(text: string): void {
    this.need(40);
    this.top += 8;
    this.textAt(text, this.margin, this.top, { font: 'heading', size: 14 });
    this.top += 19;
    this.rule();
    this.top += 5;
  }

  rule(): void {
    const y = this.#size.height - this.top;
    this.#page.drawLine({
      start: { x: this.margin, y },
      end: { x: this.margin + this.room, y },
      thickness: 1,
      color: INK,
    });
  }

  /** An empty box to tick, at the left of the line that begins here. */
  box(x: number, top: number, side: number): void {
    this.#page.drawRectangle({
      x,
      y: this.#size.height - top - side,
      width: side,
      height: side,
      borderColor: INK,
      borderWidth: 1,
    });
  }

  bar(x: number, top: number, width: number, height: number): void {
    this.#page.drawRectangle({ x, y: this.#size.height - top - height, width, height, color: INK });
  }

  /** A fine line, such as one to write on. */
  line(x: number, top: number, width: number): void {
    const y = this.#size.height - top;
    this.#page.drawLine({ start: { x, y }, end: { x: x + width, y }, thickness: 0.6, color: LINE });
  }

  /** A QR code with its quiet zone, within a square of this side. */
  code(text: string, x: number, top: number, side: number): void {
    const { modules } = QRCode.create(text, { errorCorrectionLevel: 'M' });
    const module = side / (modules.size + 2 * QUIET_MODULES);
    for (let row = 0; row < modules.size; row += 1) {
      // Dark modules side by side are one bar, so that no gap shows between them.
      for (let column = 0; column < modules.size;) {
        let length = 0;
        while (column + length < modules.size && modules.get(row, column + length) === 1) length += 1;
        if (length > 0) {
          const [left, upper] = [x + (column + QUIET_MODULES) * module, top + (row + QUIET_MODULES) * module];
          this.bar(left, upper, length * module, module);
        }
        column += Math.max(1, length);
      }
    }
  }

  /** The outline of a rectangle. */
  frame(x: number, top: number, width: number, height: number): void {
    const y = this.#size.height - top - height;
    this.#page.drawRectangle({ x, y, width, height, borderColor: INK, borderWidth: 0.8 });
  }

  /** A picture as large as it fits into a rectangle, at its upper left. */
  async picture({ content, mediaType }: Picture, x: number, top: number, width: number, height: number): Promise<void> {
    const page = this.#page;
    const image = await (mediaType === 'image/png'
      ? this.#document.embedPng(content)
      : this.#document.embedJpg(content));
    const scale = Math.min(width / image.width, height / image.height);
    const size = { width: image.width * scale, height: image.height * scale };
    page.drawImage(image, { x, y: this.#size.height - top - size.height, ...size });
  }

  /** What was drawn by hand, the data of an SVG path of straight lines, as large as it fits into a rectangle. */
  drawn(path: string, x: number, top: number, width: number, height: number): void {
    const numbers = [...path.matchAll(/-?\d+/g)].map(([text]) => Number(text));
    if (numbers.length < 4) return;
    const of = (first: 0 | 1): number[] => numbers.filter((_, index) => index % 2 === first);
    const [across, down] = [of(0), of(1)];
    const [left, upper] = [Math.min(...across), Math.min(...down)];
    const scale = Math.min(
      width / Math.max(1, Math.max(...across) - left),
      height / Math.max(1, Math.max(...down) - upper),
    );
    this.#page.drawSvgPath(path, {
      x: x - left * scale,
      y: this.#size.height - top + upper * scale,
      scale,
      borderColor: INK,
      borderWidth: 1.2 / scale,
    });
  }

  /** `W-2417, 2 of 5` at the foot of every page. */
  numberPages(about: string): void {
    const pages = this.#document.getPages();
    for (const [index, page] of pages.entries()) {
      this.#page = page;
      const top = this.#size.height - this.margin / 2 - 8;
      this.textAt(`${about}, ${index + 1} of ${pages.length}`, this.margin, top, { size: 8 });
    }
  }

  finish(): Promise<Uint8Array> {
    return this.#document.save();
  }
}
