import { addMinutes, formatDuration } from '@oilcan/core/kernel';
import { lazyComponent } from '../../../ui/loading/lazy-component';
import { joined } from '../../../words/joined';
import { otherTimeWords, timeTypeWords } from '../../../words/work-words';
import type { DockItem } from '../../frame/views/dock-item';
import { inWords, type EntryViewsNamed } from '../../frame/views/entry-view';
import { byItsLabel, type OperationViewsNamed } from '../../frame/views/operation-view';
import { mdiClockPlusOutline } from '@mdi/js';

const fromDock: DockItem = {
  name: 'time',
  word: 'Time',
  icon: mdiClockPlusOutline,
  key: 't',
  place: 'costs',
  countsAsWorking: true,
  Sheet: lazyComponent(() => import('./time-sheet').then((module) => module.TimeSheet)),
};

const entries: EntryViewsNamed<'labor'> = {
  labor: {
    ...inWords,
    group: 'time',
    dock: fromDock,
    say: ({ content, by, at, siteId }, names, language) => {
      // The record names who wrote an entry; whose time it is matters only when it is somebody else's.
      const whose = content.personId === by ? '' : `, ${names.person(content.personId)?.name ?? ''}`;
      return {
        headline: `${formatDuration(content.minutes)} of work`,
        detail: joined([
          `${timeTypeWords[content.timeType]}${whose}`,
          names.stretch(siteId, at, content.startedAt, addMinutes(content.startedAt, content.minutes)),
          content.cost === null ? '' : names.money(content.cost, language),
          content.stoppedBecause === undefined ? '' : `clock stopped: ${content.stoppedBecause}`,
        ]),
      };
    },
    AmendSheet: lazyComponent(() => import('./amend-time').then((module) => module.AmendTime)),
  },
};

const operations: OperationViewsNamed<
  | 'clock.start'
  | 'clock.stop'
  | 'clock.pause'
  | 'clock.start-for'
  | 'clock.stop-for'
  | 'labor.add'
  | 'labor.amend'
  | 'clock-place.agree'
  | 'clock-place.note'
  | 'time.add'
  | 'time.amend'
  | 'time.remove'
> = {
  'clock.start': { ...byItsLabel, say: () => 'Clock started' },
  'clock.stop': { ...byItsLabel, say: () => 'Clock stopped' },
  'clock.pause': { ...byItsLabel, say: () => 'Break' },
  'clock.start-for': { ...byItsLabel, say: () => 'Clock of a mate started' },
  'clock.stop-for': { say: () => 'Clock of a mate stopped', fields: { reason: 'Why you stop it' } },
  'labor.add': { say: ({ minutes }) => `${formatDuration(minutes)} of work`, fields: { minutes: 'How long' } },
  'labor.amend': {
    say: ({ minutes }) => `Amended to ${formatDuration(minutes)} of work`,
    fields: { minutes: 'How long' },
  },
  'clock-place.agree': { ...byItsLabel, say: null },
  'clock-place.note': { ...byItsLabel, say: () => 'Where my clock started' },
  'time.add': {
    say: ({ minutes, reason }) => `${formatDuration(minutes)}: ${otherTimeWords[reason].toLowerCase()}`,
    fields: { minutes: 'How long', words: 'What about' },
  },
  'time.amend': {
    say: ({ minutes }) => `Amended to ${formatDuration(minutes)} on no job`,
    fields: { minutes: 'How long' },
  },
  'time.remove': { ...byItsLabel, say: () => 'Time not on a job taken back' },
};

export const laborViews = { entries, operations };
