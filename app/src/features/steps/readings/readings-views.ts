import type { ReadingContent } from '@oilcan/core/steps/readings';
import { lazyComponent } from '../../../ui/loading/lazy-component';
import { levelWords } from '../../../words/work-words';
import type { DockItem } from '../../frame/views/dock-item';
import { inWords, type EntryViewsNamed } from '../../frame/views/entry-view';
import type { OperationViewsNamed } from '../../frame/views/operation-view';
import { mdiGaugeLow } from '@mdi/js';

const fromDock: DockItem = {
  name: 'reading',
  word: 'Reading',
  icon: mdiGaugeLow,
  key: 'r',
  place: 'dock',
  countsAsWorking: true,
  Sheet: lazyComponent(() => import('./reading-sheet').then((module) => module.ReadingSheet)),
};

const entries: EntryViewsNamed<'reading'> = {
  reading: {
    ...inWords,
    group: 'readings',
    dock: fromDock,
    say: ({ content }, names) => {
      const point = names.point(content.pointId);
      return {
        headline: `${point?.name ?? 'Reading'} ${figureWords(content)} ${point?.unit ?? ''}`,
        detail: [levelWords[content.level], ...typedWords(content), ...replacedWords(content)].join(' · '),
      };
    },
    past: {
      many: 'Readings',
      line: ({ pointId, value, level }, names) => {
        const point = names.point(pointId);
        const beyond = level === 'normal' ? '' : `, ${levelWords[level].toLowerCase()}`;
        return `${point?.name ?? pointId}: ${value} ${point?.unit ?? ''}${beyond}`;
      },
    },
  },
};

const replacedWords = ({ replacedAt }: ReadingContent): string[] =>
  replacedAt === undefined ? [] : [`replaced, the new one shows ${replacedAt}`];

const typedWords = ({ typed }: ReadingContent): string[] =>
  typed === undefined ? [] : [`typed ${typed.value} ${typed.unit}`];

/** A value as it is said: what its standard calls it, else rounded where it was worked out. */
function figureWords({ value, figure }: ReadingContent): string {
  if (figure === undefined) return String(value);
  return figure.said ?? String(Number(value.toFixed(2)));
}

const operations: OperationViewsNamed<'reading.add' | 'reading.derive' | 'meter.replace'> = {
  'meter.replace': {
    say: ({ pointId }, { point }) => `${point(pointId)?.name ?? 'Meter'}: replaced`,
    fields: { value: 'The old one showed', newValue: 'The new one shows' },
  },
  'reading.derive': { say: ({ pointId }, { point }) => point(pointId)?.name ?? 'Reading', fields: {} },
  'reading.add': {
    say: ({ pointId, value }, { point }) =>
      `${point(pointId)?.name ?? 'Reading'} ${value} ${point(pointId)?.unit ?? ''}`.trim(),
    fields: { value: 'Value' },
  },
};

export const readingsViews = { entries, operations };
