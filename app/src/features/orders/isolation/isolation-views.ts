import { isolationWords } from '../../../words/work-words';
import { inWords, type EntryViewsNamed } from '../../frame/views/entry-view';
import { byItsLabel, type OperationViewsNamed } from '../../frame/views/operation-view';
import { joined } from '../../../words/joined';

const entries: EntryViewsNamed<'isolation'> = {
  isolation: {
    ...inWords,
    group: 'safety',
    dock: null,
    say: ({ content, by, workOrderId }, names) => {
      const of =
        content.ofPersonId === null || content.ofPersonId === by
          ? ''
          : `, of ${names.person(content.ofPersonId)?.name ?? ''}`;
      return {
        headline: `${isolationWords[content.act]}${of}`,
        detail: joined([names.isolationPoint(workOrderId, content.pointId), content.reason]),
      };
    },
  },
};

const operations: OperationViewsNamed<'isolation.record'> = { 'isolation.record': byItsLabel };

export const isolationViews = { entries, operations };
