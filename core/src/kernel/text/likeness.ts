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

/**
 * How like texts are to what is wanted, each from 0 to 1: the share of the wanted words that a text has, where a word that few of
 * the texts have counts for more (inverse document frequency; K. Spärck Jones, 1972).
 */
export function likeness(wanted: string, texts: readonly string[]): number[] {
  const stems = texts.map(stemsOf);
  const weightOf = (stem: string): number => {
    const having = stems.filter((each) => each.has(stem)).length;
    return having === 0 ? 0 : Math.log(1 + texts.length / having);
  };
  const weights = [...stemsOf(wanted)].map((stem) => ({ stem, weight: weightOf(stem) }));
  const whole = weights.reduce((sum, { weight }) => sum + weight, 0);
  if (whole === 0) return texts.map(() => 0);
  return stems.map((each) => weights.reduce((sum, { stem, weight }) => sum + (each.has(stem) ? weight : 0), 0) / whole);
}
