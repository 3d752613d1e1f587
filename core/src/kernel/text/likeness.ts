/** Letters that a word must have to say what a text is about. */
const SHORTEST = 3;
/** Words that share so many first letters are taken for one in several forms: “bearing”, “bearings”. */
const STEM = 5;

/** What a text is about: its words without their endings, in lower case and without accents. */
function stemsOf(text: string): ReadonlySet<string> {
  const words =
    text
      .normalize('NFKD')
      .replace(/\p{M}/gu, '')
      .toLowerCase()
      .match(/[\p{L}\p{N}]+/gu) ?? [];
  return new Set(words.filter((word) => word.length >= SHORTEST).map((word) => word.slice(0, STEM)));
}

/** Words as they are typed: the last one may not be finished, and then stands for all that begin so. */
export interface Wanted {
  readonly stems: ReadonlySet<string>;
  /** The beginning of the word that is being typed; null where none is. */
  readonly beginning: string | null;
}

/** What is wanted, in whole words. */
export const inWholeWords = (text: string): Wanted => ({ stems: stemsOf(text), beginning: null });

const WORD_CHARACTER = /[\p{L}\p{N}]/u;

/** The word at the very end of a text; found from its end, so that a long text takes no longer than its last word. */
function lastWordOf(text: string): string {
  let begin = text.length;
  while (begin > 0) {
    const low = text.charCodeAt(begin - 1);
    // The second half of a pair goes with the first.
    const size = low >= 0xdc00 && low <= 0xdfff ? 2 : 1;
    if (!WORD_CHARACTER.test(text.slice(begin - size, begin))) break;
    begin -= size;
  }
  return text.slice(begin);
}

/** What is wanted so far, while its last word is still being typed. */
export function wantedSoFar(text: string): Wanted {
  const last = lastWordOf(text);
  const [beginning = null] = last.length < STEM ? stemsOf(last) : [];
  return { stems: stemsOf(text.slice(0, text.length - (beginning === null ? 0 : last.length))), beginning };
}

/** A word that no text has weighs as if half a text had it. */
const IN_NONE = 0.5;

/** Texts that are compared again and again, with their words found once. */
export class TextsToCompare {
  readonly #stems: readonly ReadonlySet<string>[];
  readonly #having = new Map<string, number>();

  constructor(texts: readonly string[]) {
    this.#stems = texts.map(stemsOf);
    for (const stems of this.#stems)
      for (const stem of stems) this.#having.set(stem, (this.#having.get(stem) ?? 0) + 1);
  }

  /**
   * How like each text is to what is wanted, from 0 to 1: the share of the wanted words that it has, where a word that few of the
   * texts have counts for more (inverse document frequency; K. Spärck Jones, 1972), and one that none has for most: what is wanted is
   * then something else.
   */
  likenessTo({ stems: wanted, beginning }: Wanted): number[] {
    const begun = beginning === null ? [] : [...this.#having.keys()].filter((stem) => stem.startsWith(beginning));
    const groups = [...[...wanted].map((stem) => [stem]), ...(beginning === null ? [] : [begun])];
    const weighed = groups.map((stems) => ({ stems, weight: this.#weightOf(stems) }));
    const whole = weighed.reduce((sum, { weight }) => sum + weight, 0);
    if (whole === 0) return this.#stems.map(() => 0);
    const has = (text: ReadonlySet<string>, stems: readonly string[]): boolean => stems.some((stem) => text.has(stem));
    return this.#stems.map(
      (text) => weighed.reduce((sum, { stems, weight }) => sum + (has(text, stems) ? weight : 0), 0) / whole,
    );
  }

  #weightOf(stems: readonly string[]): number {
    const having = stems.reduce((sum, stem) => sum + (this.#having.get(stem) ?? 0), 0);
    const texts = this.#stems.length;
    return Math.log(1 + texts / Math.min(Math.max(having, IN_NONE), Math.max(texts, IN_NONE)));
  }
}

/** How like texts are to what is wanted, each from 0 to 1; see `TextsToCompare`. */
export function likeness(wanted: string, texts: readonly string[]): number[] {
  return new TextsToCompare(texts).likenessTo(inWholeWords(wanted));
}
