import { byItsLabel, type OperationViewsNamed } from '../views/operation-view';

const operations: OperationViewsNamed<'plan.take-along'> = { 'plan.take-along': byItsLabel };

export const plansViews = { operations };
