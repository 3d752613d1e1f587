import { byItsLabel, type OperationViewsNamed } from '../../frame/views/operation-view';

const operations: OperationViewsNamed<'work.follow' | 'asset.follow' | 'notices.see' | 'notices.choose'> = {
  'work.follow': byItsLabel,
  'asset.follow': byItsLabel,
  'notices.see': byItsLabel,
  'notices.choose': byItsLabel,
};

export const noticesViews = { operations };
