import fontkit from '@pdf-lib/fontkit';
import type { PDFDocument, PDFFont } from 'pdf-lib';

/** The shipped fonts, each as the files of its alphabets: Latin, then what Latin lacks. */
export const fontFiles = {
  heading: ['barlow-condensed-latin-600-normal.woff', 'barlow-condensed-latin-ext-600-normal.woff'],
  text: ['atkinson-hyperlegible-next-latin-400-normal.woff', 'atkinson-hyperlegible-next-latin-ext-400-normal.woff'],
  strong: ['atkinson-hyperlegible-next-latin-700-normal.woff', 'atkinson-hyperlegible-next-latin-ext-700-normal.woff'],
} as const;

export type FontName = keyof typeof fontFiles;
export type ReadFont = (file: string) => Promise<Uint8Array>;

/** A run of text in the one font that has all of its characters. */
interface Run {
  readonly text: string;
  readonly font: PDFFont;
}

/** Stands for a character that no shipped font has. */
const UNKNOWN = '?';

/** A typeface whose alphabets are in several files. */
export class Face {
  readonly #fonts: readonly PDFFont[];
  readonly #has: readonly ReadonlySet<number>[];
  /** Of each character at size 1: a text is measured over and over while it is broken into lines. */
  readonly #widths = new Map<string, number>();

  constructor(fonts: readonly PDFFont[]) {
    this.#fonts = fonts;
    this.#has = fonts.map((font) => new Set(font.getCharacterSet()));
  }

  runs(text: string): Run[] {
    const runs: Run[] = [];
    for (const character of text.normalize('NFC')) {
      const index = this.#has.findIndex((has) => has.has(character.codePointAt(0) ?? 0));
      const font = this.#fonts[Math.max(0, index)];
      if (font === undefined) continue;
      const shown = index < 0 ? UNKNOWN : character;
      const last = runs.at(-1);
      if (last?.font === font) runs[runs.length - 1] = { font, text: last.text + shown };
      else runs.push({ font, text: shown });
    }
    return runs;
  }

  widthOf(text: string, size: number): number {
    let width = 0;
    for (const character of text.normalize('NFC')) width += this.#widthOfOne(character);
    return width * size;
  }

  #widthOfOne(character: string): number {
    const known = this.#widths.get(character);
    if (known !== undefined) return known;
    const width = this.runs(character).reduce((sum, { font, text }) => sum + font.widthOfTextAtSize(text, 1), 0);
    this.#widths.set(character, width);
    return width;
  }
}

/** Puts the shipped fonts into a document, only the characters that it uses. */
export async function embedFaces(document: PDFDocument, read: ReadFont): Promise<Readonly<Record<FontName, Face>>> {
  document.registerFontkit(fontkit);
  const face = async (name: FontName): Promise<Face> =>
    new Face(
      await Promise.all(fontFiles[name].map(async (file) => document.embedFont(await read(file), { subset: true }))),
    );
  return { heading: await face('heading'), text: await face('text'), strong: await face('strong') };
}
