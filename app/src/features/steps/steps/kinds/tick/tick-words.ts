import type { KindWords } from '../kind-words';

export const tickWords: KindWords<'tick'> = { said: () => 'done', onPaper: () => '' };
