import { byItsLabel, type OperationViewsNamed } from '../../frame/views/operation-view';

const operations: OperationViewsNamed<'review.set-limits'> = { 'review.set-limits': byItsLabel };

export const reviewViews = { operations };
