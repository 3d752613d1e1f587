import type { ScheduleChange } from '@oilcan/core/finishing/schedule';
import { now, peekRow } from '../../../data/store/store';
import { sayLocalDay, sayMoment } from '../../../words/dates';
import { urgencyWords } from '../../../words/work-words';
import { inWords, type EntryViewsNamed } from '../../frame/views/entry-view';
import { byItsLabel, type OperationViewsNamed } from '../../frame/views/operation-view';

const entries: EntryViewsNamed<'schedule'> = {
  schedule: {
    ...inWords,
    group: 'state',
    dock: null,
    say: ({ content: { change, reason } }, _names, language) => ({
      headline: changeSaid(change, language),
      detail: reason,
    }),
  },
};

/** `Urgency: This week, now Now`, `Put off to Thu 26 Nov, the 2nd time`. */
function changeSaid(change: ScheduleChange, language: string): string {
  const zone = peekRow('settings', 'settings')?.zone ?? 'utc';
  const day = (text: Parameters<typeof sayLocalDay>[0]): string => sayLocalDay(text, now(), zone, language);
  switch (change.of) {
    case 'urgency':
      return `Urgency was “${urgencyWords[change.from]}”, is “${urgencyWords[change.to]}”`;
    case 'due':
      return change.to === null
        ? 'Is due at no time any more'
        : `Now due ${sayMoment(change.to, now(), zone, language)}`;
    case 'planned':
      return change.to === null ? 'Is planned for no day any more' : `Planned for ${day(change.to)}`;
    case 'putOff':
      return `Put off to ${day(change.until)}${change.times > 1 ? `, for the ${ordinal(change.times)} time` : ''}`;
    case 'takenUp':
      return `Taken up before ${day(change.until)}`;
  }
}

function ordinal(count: number): string {
  const isTeen = count % 100 >= 11 && count % 100 <= 13;
  const ending = isTeen ? 'th' : (({ 1: 'st', 2: 'nd', 3: 'rd' } as Record<number, string>)[count % 10] ?? 'th');
  return `${count}${ending}`;
}

const operations: OperationViewsNamed<
  'work.set-urgency' | 'work.set-due' | 'work.plan' | 'work.put-off' | 'work.take-up'
> = {
  'work.set-urgency': { say: ({ urgency }) => `Urgency: ${urgencyWords[urgency]}`, fields: { reason: 'Why' } },
  'work.set-due': { say: () => 'Another due time', fields: { reason: 'Why' } },
  'work.plan': { ...byItsLabel, say: () => 'The day it is planned for' },
  'work.put-off': { say: ({ until }) => `Put off to ${until}`, fields: { reason: 'Why' } },
  'work.take-up': { ...byItsLabel, say: () => 'Taken up again' },
};

export const scheduleViews = { entries, operations };
