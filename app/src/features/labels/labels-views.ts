import { byItsLabel, type OperationViewsNamed } from '../views/operation-view';

const operations: OperationViewsNamed<'code.bind' | 'code.unbind'> = {
  'code.bind': byItsLabel,
  'code.unbind': byItsLabel,
};

export const labelsViews = { operations };
