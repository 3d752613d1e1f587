import { BLANK, type KindWords } from '../kind-words';

export const textWords: KindWords<'text'> = { said: ({ text }) => `“${text}”`, onPaper: () => BLANK };
