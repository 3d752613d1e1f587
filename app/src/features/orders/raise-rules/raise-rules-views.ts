import { byItsLabel, type OperationViewsNamed } from '../../frame/views/operation-view';

const operations: OperationViewsNamed<'raise-rules.set'> = { 'raise-rules.set': byItsLabel };

export const raiseRulesViews = { operations };
