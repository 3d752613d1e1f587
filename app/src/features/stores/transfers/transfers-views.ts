import { amountOf } from '../../../words/amounts';
import type { OperationViewsNamed } from '../../frame/views/operation-view';

const operations: OperationViewsNamed<
  | 'transfer.ask'
  | 'transfer.send'
  | 'transfer.send-unasked'
  | 'transfer.arrive'
  | 'transfer.write-off'
  | 'transfer.close'
  | 'stock.move'
> = {
  'transfer.ask': {
    say: ({ partId, quantity }, { part }) =>
      `Asked another store for ${amountOf(quantity, part(partId))} ${part(partId)?.name ?? ''}`,
    fields: { quantity: 'Amount' },
  },
  'transfer.send': { say: null, fields: { quantity: 'Amount' } },
  'transfer.send-unasked': {
    say: ({ partId, quantity }, { part }) =>
      `${amountOf(quantity, part(partId))} ${part(partId)?.name ?? ''} sent to another store`,
    fields: { quantity: 'Amount' },
  },
  'transfer.arrive': { say: null, fields: { quantity: 'Arrived' } },
  'transfer.write-off': {
    say: ({ reason }) => `Written off on the way: ${reason}`,
    fields: { quantity: 'Amount', reason: 'Why' },
  },
  'transfer.close': { say: ({ reason }) => `Nothing is sent: ${reason}`, fields: { reason: 'Why' } },
  'stock.move': {
    say: ({ partId, quantity }, { part }) =>
      `${amountOf(quantity, part(partId))} ${part(partId)?.name ?? ''} moved to another bin`,
    fields: { quantity: 'Amount' },
  },
};

export const transfersViews = { operations };
