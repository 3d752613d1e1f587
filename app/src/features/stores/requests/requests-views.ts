import { amountOf } from '../../../words/amounts';
import { byItsLabel, type OperationViewsNamed } from '../../frame/views/operation-view';

const operations: OperationViewsNamed<
  'request.make' | 'request.change' | 'request.withdraw' | 'request.decline' | 'request.receive'
> = {
  'request.make': {
    say: ({ partId, words, quantity }, { part }) => {
      const wanted = partId === null ? undefined : part(partId);
      return `Asked the store for ${amountOf(quantity, wanted)} ${wanted?.name ?? words}`;
    },
    fields: { quantity: 'Amount', words: 'What is needed' },
  },
  'request.change': { say: null, fields: { quantity: 'Amount' } },
  'request.withdraw': { say: null, fields: { reason: 'Why' } },
  'request.decline': { say: ({ reason }) => `Not handed out: ${reason}`, fields: { reason: 'Why' } },
  'request.receive': byItsLabel,
};

export const requestsViews = { operations };
