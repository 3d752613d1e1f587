import type { OperationViewsNamed } from '../../frame/views/operation-view';

const operations: OperationViewsNamed<'work.mail-copy'> = {
  'work.mail-copy': {
    say: ({ to }) => `The record by mail to ${to}`,
    fields: { to: 'To which address', line: 'One line' },
  },
};

export const copiesViews = { operations };
