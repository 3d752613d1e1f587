import { plainText, wantedWords, wordsOf } from './find-words';

/** Something that is found by its words. */
export interface Findable {
  readonly id: string;
  /** By which it is named: the number of a job, the tag of a machine, the number of a part. */
  readonly number: string;
  /** What it is called. */
  readonly name: string;
  /** Where and on what: its machine, its place. */
  readonly where: string;
  /** All the rest by which it is found: people, kind, trade, parts, reasons. */
  readonly words: string;
}

/** Where a word may stand, and how much it tells there. Chosen for this product; what follows from it is held by the tests. */
const fields = [
  ['number', 6],
  ['name', 3],
  ['where', 2],
  ['words', 1],
] as const;

/** A word that only begins as it is typed counts for less than the word itself. */
const BEGUN = 0.4;
/** Words that stand together as they are typed: “tower 5” is not “5 grips at tower 12”. */
const TOGETHER = 4;
/** The last of them may not be typed to its end. */
const BEGUN_TOGETHER = 1.5;
/** Of what is wanted more, half as much again. */
const PREFERRED = 0.5;
/** Its number or tag begins with all that was typed. */
const NAMED_SO = 1.5;
/** The number itself stands before everything. */
const IS_NUMBER = 1_000;
/** From so many letters on a word may be one letter off. */
const LONG_ENOUGH_TO_MISTYPE = 5;

/**
 * Finds things by any of their words, the likeliest first: the number itself, then by how rare the words are (inverse document frequency;
 * K. Spärck Jones, 1972), where they stand, whether they stand together as they are typed, and whether they are whole words or only begin so.
 * What has a word only in its middle comes after all others. Where nothing has the words, a long one may be a letter off.
 *
 * All texts are read through at every letter: docs/decisions/0013-finding-reads-everything.md.
 */
export class Finder<T extends Findable> {
  readonly #items = new Map<string, Kept<T>>();
  /** Every word of all things, with in how many of them it stands. */
  readonly #known = new Map<string, number>();

  get size(): number {
    return this.#items.size;
  }

  /** Adds things, or takes them as they are now. */
  put(items: readonly T[]): void {
    for (const item of items) {
      this.remove(item.id);
      const kept = keptOf(item);
      this.#items.set(item.id, kept);
      this.#count(kept, 1);
    }
  }

  remove(id: string): void {
    const kept = this.#items.get(id);
    if (kept === undefined) return;
    this.#items.delete(id);
    this.#count(kept, -1);
  }

  #count({ text }: Kept<T>, by: 1 | -1): void {
    for (const word of text.trim().split(' ')) {
      const times = (this.#known.get(word) ?? 0) + by;
      if (times === 0) this.#known.delete(word);
      else this.#known.set(word, times);
    }
  }

  /** As it was put in. */
  get(id: string): T | undefined {
    return this.#items.get(id)?.item;
  }

  /** The ids of all that was put in. */
  ids(): IterableIterator<string> {
    return this.#items.keys();
  }

  /**
   * What has every word that was typed, the likeliest first; nothing where none was typed.
   *
   * @param most so many at most
   * @param preferring of equally likely ones those with more of this come first: what is open, what is mine; from 0 to 1
   */
  find(typed: string, most: number, preferring: (item: T) => number = () => 0): T[] {
    const wanted = wantedWords(typed);
    if (wanted.length === 0) return [];
    const found = this.#having(wanted, most, preferring);
    if (found.length >= most) return found;
    const all = [...found, ...this.#havingInside(wanted)];
    return all.length > 0 ? all.slice(0, most) : this.#mistyped(wanted, most, preferring);
  }

  /** Of what has every word at the beginning of one of its own, so many of the likeliest. */
  #having(wanted: readonly string[], most: number, preferring: (item: T) => number): T[] {
    const begun = wanted.map((word) => ` ${word}`);
    const whole = begun.map((word) => `${word} `);
    const counts = wanted.map(() => ({ begun: 0, whole: 0 }));
    const found: Kept<T>[] = [];
    for (const kept of this.#items.values()) {
      let hasAll = true;
      for (let index = 0; index < counts.length; index += 1) {
        const count = counts[index];
        if (count === undefined || !kept.text.includes(begun[index] ?? '')) {
          hasAll = false;
          continue;
        }
        count.begun += 1;
        if (kept.text.includes(whole[index] ?? '')) count.whole += 1;
      }
      if (hasAll) found.push(kept);
    }
    const rarity = counts.map((count) => Math.log(1 + this.#items.size / Math.max(1, count.whole || count.begun)));
    const joined = wanted.join('');
    const phrase = begun.join('');
    const scored = found.map((kept): Scored<T> => {
      let score = 0;
      for (let index = 0; index < wanted.length; index += 1)
        score += (rarity[index] ?? 0) * told(kept, begun[index] ?? '', whole[index] ?? '');
      score *= 1 + PREFERRED * preferring(kept.item);
      if (wanted.length > 1) score *= togetherness(kept, phrase);
      if (kept.number.startsWith(joined)) score *= NAMED_SO;
      if (kept.number === joined || kept.numberWords.includes(joined)) score += IS_NUMBER;
      return { item: kept.item, score };
    });
    return highest(scored, most);
  }

  /** What has every word somewhere, and at least one of them only within one of its own. */
  #havingInside(wanted: readonly string[]): T[] {
    const found: T[] = [];
    for (const { item, text } of this.#items.values())
      if (wanted.every((word) => text.includes(word)) && !wanted.every((word) => text.includes(` ${word}`)))
        found.push(item);
    return found;
  }

  /** What is found where a word that nothing has is read as one that is a letter off. */
  #mistyped(wanted: readonly string[], most: number, preferring: (item: T) => number): T[] {
    const meant = wanted.map((word) => (word.length < LONG_ENOUGH_TO_MISTYPE ? word : this.#meantBy(word)));
    return meant.every((word, index) => word === wanted[index]) ? [] : this.#having(meant, most, preferring);
  }

  /** The word itself, where one begins so; else the first that is a letter off. */
  #meantBy(word: string): string {
    let meant: string | null = null;
    for (const each of this.#known.keys()) {
      if (each.startsWith(word)) return word;
      if (meant === null && isOneOff(word, each)) meant = each;
    }
    return meant ?? word;
  }
}

/** A thing with what it is compared by, worked out once. */
interface Kept<T> {
  readonly item: T;
  /** All its words, with a space before and after each. */
  readonly text: string;
  /** What it is named by, without marks. */
  readonly number: string;
  readonly numberWords: readonly string[];
  /** Each of its fields as its words stand in it. */
  readonly plain: readonly string[];
}

function keptOf<T extends Findable>(item: T): Kept<T> {
  return {
    item,
    text: ` ${fields.flatMap(([field]) => wordsOf(item[field])).join(' ')} `,
    number: plainText(item.number).replace(/[^\p{L}\p{N}]/gu, ''),
    numberWords: wordsOf(item.number),
    plain: fields.map(([field]) => ` ${(plainText(item[field]).match(/[\p{L}\p{N}]+/gu) ?? []).join(' ')} `),
  };
}

interface Scored<T> {
  readonly item: T;
  readonly score: number;
}

/** Where so many times fewer are wanted than there are, the few are picked out instead of sorting all. */
const FEW_OF_MANY = 50;

/** Those that score highest, in their order; of equals those with the later number first. */
function highest<T extends Findable>(scored: Scored<T>[], most: number): T[] {
  const comesBefore = (a: Scored<T>, b: Scored<T>): boolean =>
    a.score > b.score || (a.score === b.score && a.item.number > b.item.number);
  if (most * FEW_OF_MANY > scored.length)
    return scored
      .sort((a, b) => (comesBefore(a, b) ? -1 : comesBefore(b, a) ? 1 : 0))
      .slice(0, most)
      .map(({ item }) => item);
  const best: Scored<T>[] = [];
  for (const each of scored) {
    const last = best.at(-1);
    if (best.length >= most && (last === undefined || !comesBefore(each, last))) continue;
    let at = best.length;
    for (let other = best[at - 1]; other !== undefined && comesBefore(each, other); other = best[at - 1]) at -= 1;
    best.splice(at, 0, each);
    if (best.length > most) best.pop();
  }
  return best.map(({ item }) => item);
}

/** How much a word tells by where it stands; the whole of a number or tag, which stands in no field as it is typed, as one in its words. */
function told({ plain }: Kept<Findable>, begun: string, whole: string): number {
  let most = BEGUN;
  for (let index = 0; index < fields.length; index += 1) {
    const boost = fields[index]?.[1] ?? 0;
    const text = plain[index] ?? '';
    if (boost <= most || !text.includes(begun)) continue;
    most = Math.max(most, text.includes(whole) ? boost : boost * BEGUN);
  }
  return most;
}

/** How much more a thing counts whose words stand side by side as they are typed. */
function togetherness({ plain }: Kept<Findable>, phrase: string): number {
  if (plain.some((text) => text.includes(`${phrase} `))) return TOGETHER;
  return plain.some((text) => text.includes(phrase)) ? BEGUN_TOGETHER : 1;
}

/** Whether one letter more, less or other makes one word of the other, or two that changed places. */
function isOneOff(a: string, b: string): boolean {
  if (Math.abs(a.length - b.length) > 1) return false;
  // One letter changes one end of a word at most.
  if (a[0] !== b[0] && a.at(-1) !== b.at(-1) && Math.min(a.length, b.length) > 2) return false;
  let from = 0;
  while (from < a.length && a[from] === b[from]) from += 1;
  const [restA, restB] = [a.slice(from), b.slice(from)];
  return (
    restA.slice(1) === restB.slice(1) ||
    restA.slice(1) === restB ||
    restA === restB.slice(1) ||
    (restA[0] === restB[1] && restA[1] === restB[0] && restA.slice(2) === restB.slice(2))
  );
}
