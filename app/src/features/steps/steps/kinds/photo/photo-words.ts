import type { KindWords } from '../kind-words';

export const photoWords: KindWords<'photo'> = { said: () => 'photo taken', onPaper: () => 'photo' };
