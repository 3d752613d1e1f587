import { mdiCrane } from '@mdi/js';
import { formatDuration, parseDuration, typedDuration } from '@oilcan/core/kernel';
import { lazyComponent } from '../../../ui/loading/lazy-component';
import { ReceiptPicture } from '../expenses';
import { chargedTo } from '../expenses/words';
import type { DockItem } from '../../frame/views/dock-item';
import { inWords, type EntryViewsNamed } from '../../frame/views/entry-view';
import type { OperationViewsNamed } from '../../frame/views/operation-view';
import { durationProblem } from '../../../forms/typed-words';

const fromDock: DockItem = {
  name: 'tool',
  word: 'Tool',
  icon: mdiCrane,
  key: 'l',
  place: 'costs',
  countsAsWorking: false,
  Sheet: lazyComponent(() => import('./tool-sheet').then((module) => module.ToolSheet)),
};

const entries: EntryViewsNamed<'tool'> = {
  tool: {
    ...inWords,
    group: 'costs',
    dock: fromDock,
    say: ({ content }, names, language) => ({
      headline: `${content.words}, ${formatDuration(content.minutes)}`,
      detail: `Tool at ${names.money(content.ratePerHour, language)} an hour · ${names.money(content.cost, language)}${chargedTo(content.costCentre)}`,
    }),
    Picture: ReceiptPicture,
    amend: {
      label: 'How long instead',
      lines: 1,
      typed: ({ minutes }) => typedDuration(minutes),
      hint: durationProblem,
      operation: 'tool.amend',
      ask: (on, _content, typed) => {
        const minutes = parseDuration(typed);
        return minutes === undefined ? null : { args: { ...on, minutes }, said: `Now ${formatDuration(minutes)}.` };
      },
    },
  },
};

const operations: OperationViewsNamed<'tool.add' | 'tool.amend'> = {
  'tool.add': { say: ({ words }) => `Tool: ${words}`, fields: { words: 'Which tool', minutes: 'How long' } },
  'tool.amend': {
    say: ({ minutes }) => `A tool for ${formatDuration(minutes)} instead`,
    fields: { minutes: 'How long' },
  },
};

export const toolsViews = { entries, operations };
