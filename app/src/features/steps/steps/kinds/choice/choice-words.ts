import type { KindWords } from '../kind-words';

export const choiceWords: KindWords<'choice'> = {
  said: ({ chosen }, { options }) =>
    options
      .filter(({ key }) => chosen.includes(key))
      .map(({ words }) => words)
      .join(', '),
  onPaper: ({ options }) => options.map(({ words }) => words).join('   /   '),
};
