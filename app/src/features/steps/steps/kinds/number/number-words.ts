import { BLANK, type KindWords } from '../kind-words';

export const numberWords: KindWords<'number'> = {
  said: ({ value }, { unit }) => `${value} ${unit}`,
  onPaper: ({ unit }) => `${BLANK} ${unit}`,
};
