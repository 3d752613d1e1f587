import { signedBy } from '@oilcan/core/kernel';
import { BLANK, type KindWords } from '../kind-words';

export const signatureWords: KindWords<'signature'> = {
  said: (answer) => `signed by ${signedBy(answer)}`,
  onPaper: ({ who }) => `${who}: ${BLANK}`,
};
