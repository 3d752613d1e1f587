import { byItsLabel, type OperationViewsNamed } from '../../frame/views/operation-view';

const operations: OperationViewsNamed<'person.leave'> = { 'person.leave': byItsLabel };

export const peopleViews = { operations };
