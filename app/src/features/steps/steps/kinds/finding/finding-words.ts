import type { FindingState } from '../../../../../ui/drawn/finding-shape';
import type { KindWords } from '../kind-words';

/** How something was found and left, as it stands on a button. */
export const findingWords: Readonly<Record<FindingState, string>> = {
  good: 'Good',
  faulty: 'Faulty',
  putRight: 'Put right',
};

export const findingKindWords: KindWords<'finding'> = {
  said: ({ asLeft }) => (asLeft === null ? 'good' : asLeft === 'putRight' ? 'faulty, put right' : 'faulty still'),
  onPaper: () => 'Good   /   Faulty   /   Faulty, put right',
};
