import type { Asset } from '../../plant/plant/plant';

/** A machine that words may mean. */
export interface LikelyMachine {
  readonly asset: Asset;
  /** The share of the words that stand in its name or tag, from 0 to 1. */
  readonly share: number;
  /** Whether all of its own name was said. */
  readonly isWhole: boolean;
}

const MOST_NAMED = 5;
/** Less than this share of the words says nothing of a machine. */
const LEAST_SHARE = 0.25;

/**
 * The machines that words may mean, the likeliest first: by how many of the words stand in the name or the tag, then by how much of the
 * name was said, then by how much depends on it.
 */
export function likelyMachines(words: string, assets: readonly Asset[]): LikelyMachine[] {
  const wanted = wordsOf(words);
  if (wanted.length === 0) return [];
  const whole = words.trim().toLowerCase();
  return assets
    .filter(({ retiredOn, mergedInto }) => retiredOn === undefined && mergedInto === undefined)
    .map((asset) => {
      const named = wordsOf(`${asset.name} ${asset.tag}`);
      const ofName = wordsOf(asset.name);
      const isTag = asset.tag.toLowerCase() === whole;
      const found = wanted.filter((word) => named.some((each) => isSame(each, word)));
      const said = ofName.filter((word) => wanted.some((each) => isSame(word, each)));
      const share = isTag ? 1 : found.length / wanted.length;
      const ofItsName = isTag ? 1 : said.length / Math.max(1, ofName.length);
      return { asset, share, ofItsName, isWhole: isTag || ofItsName === 1 };
    })
    .filter(({ share, ofItsName }) => share >= LEAST_SHARE && ofItsName > 0)
    .sort(
      (a, b) =>
        b.share - a.share ||
        b.ofItsName - a.ofItsName ||
        a.asset.criticality - b.asset.criticality ||
        (a.asset.name < b.asset.name ? -1 : 1),
    )
    .slice(0, MOST_NAMED)
    .map(({ asset, share, isWhole }) => ({ asset, share, isWhole }));
}

const wordsOf = (text: string): string[] =>
  text
    .toLowerCase()
    .split(/[^\p{L}\p{N}]+/u)
    .filter((word) => word !== '');

/** Figures are the same or not; of words one may begin the other, as “conv” does “conveyor”. */
const isSame = (named: string, said: string): boolean =>
  /\d/.test(said) || said.length < 3
    ? named === said
    : named.startsWith(said) || (named.length > 3 && said.startsWith(named));
