import { inWords, type EntryViewsNamed } from '../../frame/views/entry-view';
import { byItsLabel, type OperationViewsNamed } from '../../frame/views/operation-view';

const entries: EntryViewsNamed<'withdrawal'> = {
  withdrawal: {
    ...inWords,
    group: null,
    dock: null,
    say: ({ content }) => ({ headline: 'Taken back', detail: content.reason }),
  },
};

const operations: OperationViewsNamed<'work.give' | 'entry.withdraw'> = {
  'work.give': byItsLabel,
  'entry.withdraw': { say: null, fields: { reason: 'Why it should not be there' } },
};

export const workViews = { entries, operations };
