import { byItsLabel, type OperationViewsNamed } from '../views/operation-view';

const operations: OperationViewsNamed<'person.leave'> = { 'person.leave': byItsLabel };

export const peopleViews = { operations };
