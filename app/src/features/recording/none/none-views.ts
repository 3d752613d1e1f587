import { inWords, type EntryViewsNamed } from '../../frame/views/entry-view';
import { byItsLabel, type OperationViewsNamed } from '../../frame/views/operation-view';
import { noneWords } from './words';

const entries: EntryViewsNamed<'none'> = {
  none: {
    ...inWords,
    group: 'state',
    dock: null,
    say: ({ content }) => ({ headline: noneWords[content.of], detail: '' }),
  },
};

const operations: OperationViewsNamed<'none.say'> = {
  'none.say': { ...byItsLabel, say: ({ of }) => noneWords[of] },
};

export const noneViews = { entries, operations };
