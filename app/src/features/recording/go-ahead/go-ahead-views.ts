import { byItsLabel, type OperationViewsNamed } from '../../frame/views/operation-view';

const operations: OperationViewsNamed<'work.let-start' | 'work.take-on'> = {
  'work.let-start': byItsLabel,
  'work.take-on': byItsLabel,
};

export const goAheadViews = { operations };
