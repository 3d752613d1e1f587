/** A text as it is looked for: in lower case, without accents. */
export function plainText(text: string): string {
  return text.normalize('NFKD').replace(/\p{M}/gu, '').toLowerCase();
}

/** Marks within a number or a tag: `W-2571`, `LRK-G1`, `6204.2RS`. */
const COMPOUND = /[\p{L}\p{N}]+(?:[-./][\p{L}\p{N}]+)+/gu;

/**
 * The words of a text. A number or a tag is a word for each of its parts and one for all of them together, so that `W-2571`, `w2571` and
 * `2571` all find it.
 */
export function wordsOf(text: string): string[] {
  const plain = plainText(text);
  const parts = plain.match(/[\p{L}\p{N}]+/gu) ?? [];
  const whole = (plain.match(COMPOUND) ?? []).map((each) => each.replace(/[^\p{L}\p{N}]/gu, ''));
  return [...parts, ...whole];
}

/** The words that somebody typed, each of which must be found; without the parts of a number, which its whole stands for. */
export function wantedWords(typed: string): string[] {
  return plainText(typed)
    .split(/[^\p{L}\p{N}\-./]+/u)
    .map((word) => word.replace(/[^\p{L}\p{N}]/gu, ''))
    .filter((word) => word !== '');
}
