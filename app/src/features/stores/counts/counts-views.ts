import { amountOf } from '../../../words/amounts';
import { byItsLabel, type OperationViewsNamed } from '../../frame/views/operation-view';

const operations: OperationViewsNamed<'count.keep' | 'count.post' | 'count.dismiss' | 'store.count-blind'> = {
  'count.keep': {
    say: ({ partId, quantity }, { part }) => `${amountOf(quantity, part(partId))} ${part(partId)?.name ?? ''} counted`,
    fields: { quantity: 'Counted' },
  },
  'count.post': { say: null, fields: { reason: 'Why the books were off' } },
  'count.dismiss': { say: ({ reason }) => `Count set aside: ${reason}`, fields: { reason: 'Why' } },
  'store.count-blind': byItsLabel,
};

export const countsViews = { operations };
