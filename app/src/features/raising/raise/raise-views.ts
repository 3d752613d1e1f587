import type { OperationViewsNamed } from '../../frame/views/operation-view';

const operations: OperationViewsNamed<'work.raise'> = {
  'work.raise': { say: ({ title }) => `New work: ${title}`, fields: { title: 'What is to be done', reason: 'Why' } },
};

export const raiseViews = { operations };
