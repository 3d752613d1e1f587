import { byItsLabel, type OperationViewsNamed } from '../views/operation-view';

const operations: OperationViewsNamed<'work.let-start'> = { 'work.let-start': byItsLabel };

export const goAheadViews = { operations };
