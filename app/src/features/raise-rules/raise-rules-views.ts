import { byItsLabel, type OperationViewsNamed } from '../views/operation-view';

const operations: OperationViewsNamed<'raise-rules.set'> = { 'raise-rules.set': byItsLabel };

export const raiseRulesViews = { operations };
