import { BLANK, type KindWords } from '../kind-words';

export const signatureWords: KindWords<'signature'> = {
  said: ({ name }) => `signed by ${name}`,
  onPaper: ({ who }) => `${who}: ${BLANK}`,
};
