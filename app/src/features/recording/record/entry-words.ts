import { daysBetween } from '@oilcan/core/past/past';
import type { Entry } from '@oilcan/core/orders/work';
import { saySpan } from '../../../words/spans';
import { viewOf } from '../../frame/registry/view-of';
import type { EntryWords } from '../../frame/views/entry-view';
import type { Names } from '../../frame/views/names';

/** What a lead should know of how an entry came in; null when nothing is strange about it. */
export function arrivalWords({ at, arrival }: Pick<Entry, 'at' | 'arrival'>): string | null {
  if (arrival === undefined) return null;
  const late = daysBetween(at, arrival.at);
  const words = [
    ...(late > 1 ? [`came in ${saySpan(late)} later`] : []),
    ...(arrival.clockOffMinutes === 0
      ? []
      : [
          `phone’s clock ${saySpan(Math.abs(arrival.clockOffMinutes) / 1440)} ${arrival.clockOffMinutes > 0 ? 'ahead' : 'behind'}`,
        ]),
  ];
  return words.length === 0 ? null : `Check the time: ${words.join(', ')}`;
}

/** What an entry says, as a headline and a quieter line. */
export function entryWords(entry: Entry, names: Names, language: string): EntryWords {
  return viewOf(entry.content.kind).say(entry, names, language);
}
