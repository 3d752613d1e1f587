import { BLANK, type KindWords } from '../kind-words';

export const meterWords: KindWords<'meter'> = {
  said: ({ value }, { pointId }, { point }) => `${value} ${point(pointId)?.unit ?? ''}`.trim(),
  onPaper: ({ pointId }, { point }) => `${BLANK} ${point(pointId)?.unit ?? ''}`.trim(),
};
