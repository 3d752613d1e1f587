import { byItsLabel, type OperationViewsNamed } from '../../frame/views/operation-view';

const operations: OperationViewsNamed<'code.bind' | 'code.unbind' | 'report-label.open' | 'report-label.withdraw'> = {
  'code.bind': byItsLabel,
  'code.unbind': byItsLabel,
  'report-label.open': byItsLabel,
  'report-label.withdraw': byItsLabel,
};

export const labelsViews = { operations };
