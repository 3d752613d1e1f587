/** A piece of text as a PDF has it: a line, or a part of one. */
export interface TextPiece {
  readonly str: string;
  /** Of which the fifth and sixth are where it begins, in units of the page with its origin at the lower left. */
  readonly transform: readonly number[];
  readonly width: number;
  readonly height: number;
  /** A line ends with it. */
  readonly hasEOL: boolean;
}

/** Where something stands on a page, in the same units. */
export interface Box {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

interface Letter {
  readonly letter: string;
  readonly piece: TextPiece;
  /** Which letter of its piece it is. */
  readonly at: number;
}

/**
 * Every place where the words stand among these pieces, also where they go over from one piece or line to the next. Case,
 * and how much space lies between words, do not matter. A letter is taken to be as wide as the others of its piece.
 */
export function findInText(pieces: readonly TextPiece[], words: string): (readonly Box[])[] {
  const wanted = words.trim().toLowerCase().replace(/\s+/g, ' ');
  if (wanted === '') return [];
  const letters = lettersOf(pieces);
  const text = letters.map(({ letter }) => letter).join('');
  const found: (readonly Box[])[] = [];
  for (let at = text.indexOf(wanted); at !== -1; at = text.indexOf(wanted, at + wanted.length)) {
    found.push(boxesOf(letters.slice(at, at + wanted.length)));
  }
  return found;
}

/** One letter after another, in lower case, every space between words a single one. */
function lettersOf(pieces: readonly TextPiece[]): Letter[] {
  const letters: Letter[] = [];
  const add = (letter: string, piece: TextPiece, at: number): void => {
    const isSpace = letter.trim() === '';
    if (isSpace && (letters.at(-1)?.letter ?? ' ') === ' ') return;
    letters.push({ letter: isSpace ? ' ' : letter, piece, at });
  };
  for (const piece of pieces) {
    // Letter by letter, because a few letters change their number with their case.
    for (let at = 0; at < piece.str.length; at += 1) add((piece.str[at] ?? '').toLowerCase()[0] ?? ' ', piece, at);
    if (piece.hasEOL) add(' ', piece, piece.str.length);
  }
  return letters;
}

function boxesOf(letters: readonly Letter[]): Box[] {
  const spans = new Map<TextPiece, { from: number; to: number }>();
  for (const { piece, at } of letters) {
    const span = spans.get(piece);
    spans.set(piece, { from: Math.min(span?.from ?? at, at), to: Math.min(piece.str.length, at + 1) });
  }
  return [...spans].flatMap(([piece, { from, to }]) => {
    if (piece.str.slice(from, to).trim() === '') return [];
    const letterWidth = piece.width / piece.str.length;
    const [, , , , x = 0, y = 0] = piece.transform;
    return [{ x: x + from * letterWidth, y, width: (to - from) * letterWidth, height: piece.height }];
  });
}
