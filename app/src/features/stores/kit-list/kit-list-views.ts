import { byItsLabel, type OperationViewsNamed } from '../../frame/views/operation-view';

const operations: OperationViewsNamed<'kit-list.choose' | 'kit-list.share' | 'kit-list.tick'> = {
  'kit-list.choose': byItsLabel,
  'kit-list.share': byItsLabel,
  'kit-list.tick': byItsLabel,
};

export const kitListViews = { operations };
