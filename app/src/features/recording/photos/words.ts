import type { PhotoContent } from '@oilcan/core/recording/photos';

/** Whether a photo shows the machine before the work or after it. */
export const takenWords: Readonly<Record<NonNullable<PhotoContent['taken']>, string>> = {
  before: 'Before',
  after: 'After',
};
