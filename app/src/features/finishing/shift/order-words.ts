import type { ShiftOrder } from './shift-list';

/** In what order the list stands. */
export const orderWords: Readonly<Record<ShiftOrder, string>> = {
  first: 'What comes first',
  due: 'By due time',
  planned: 'By planned day',
  place: 'By place',
  number: 'By number',
};
