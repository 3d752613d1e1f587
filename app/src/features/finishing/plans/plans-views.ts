import { byItsLabel, type OperationViewsNamed } from '../../frame/views/operation-view';

const operations: OperationViewsNamed<'plan.take-along'> = { 'plan.take-along': byItsLabel };

export const plansViews = { operations };
