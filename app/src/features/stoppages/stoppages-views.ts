import { minutesBetween } from '@oilcan/core/kernel';
import type { PastStoppage } from '@oilcan/core/stoppages';
import { sayStanding } from '../../words/spans';
import { inWords, type EntryViewsNamed } from '../views/entry-view';

/** `Stood still for 6 h`. */
export function stoppageLine({ from, to, extent, isPlanned }: PastStoppage): string {
  const isFull = extent === 'full';
  const planned = isPlanned ? ', planned' : '';
  if (to === null) return `${isFull ? 'Stands still' : 'Runs reduced'}${planned}`;
  const how = `${isFull ? 'Stood still' : 'Ran reduced'}${planned}`;
  return `${how} for ${sayStanding(Math.max(0, minutesBetween(from, to)))}`;
}

const entries: EntryViewsNamed<'stoppage'> = {
  stoppage: {
    ...inWords,
    group: 'faults',
    say: ({ content }) => ({
      headline: content.extent === 'full' ? 'Stopped' : 'Reduced',
      detail: content.isPlanned ? 'Planned stoppage' : 'Stoppage',
    }),
    past: { many: 'Stoppages', line: stoppageLine },
  },
};

export const stoppagesViews = { entries };
