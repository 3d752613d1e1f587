import { wantedWords, wordsOf } from './find-words';

interface Found {
  readonly id: string;
  readonly number: string;
}

/**
 * What the phone has and what the server knows besides, as one list: each thing once, the phone's own row where both have it, and whatever is
 * called exactly as was typed before all else, wherever it came from.
 */
export function foundTogether<A extends Found, B extends Found>(
  kept: readonly A[],
  there: readonly B[],
  typed: string,
): readonly (A | B)[] {
  const here = new Set(kept.map(({ id }) => id));
  const all: readonly (A | B)[] = [...kept, ...there.filter(({ id }) => !here.has(id))];
  const [name, ...others] = wantedWords(typed);
  const isCalledSo = ({ number }: Found): boolean => name !== undefined && wordsOf(number).includes(name);
  const first = others.length > 0 ? undefined : all.find(isCalledSo);
  return first === undefined ? all : [first, ...all.filter((each) => each !== first)];
}
