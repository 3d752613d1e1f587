import { amountOf } from '../../../words/amounts';
import type { OperationViewsNamed } from '../../frame/views/operation-view';

const operations: OperationViewsNamed<'request.hand-out' | 'request.bring-back' | 'part.hand-out'> = {
  'request.hand-out': {
    say: ({ partId, quantity }, { part }) =>
      `${amountOf(quantity, part(partId))} ${part(partId)?.name ?? 'of a part'} handed out`,
    fields: { quantity: 'Amount' },
  },
  'request.bring-back': { say: null, fields: { quantity: 'Amount' } },
  'part.hand-out': {
    say: ({ partId, quantity }, { part }) =>
      `${amountOf(quantity, part(partId))} ${part(partId)?.name ?? 'of a part'} handed out`,
    fields: { quantity: 'Amount' },
  },
};

export const issueViews = { operations };
