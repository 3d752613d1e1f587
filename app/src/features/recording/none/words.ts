import type { NoneOf } from '@oilcan/core/recording/none';

/** That there was none of it, as it is said. */
export const noneWords: Readonly<Record<NoneOf, string>> = {
  part: 'No part taken',
  stoppage: 'Did not stand still',
  time: 'No time of mine',
  fault: 'No failure',
};
