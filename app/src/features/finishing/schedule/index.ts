import { piece } from '../../../ui/loading/piece';

/** What other features may use of this one. */
export { dueOn } from './due-on';
export { PutOffLine } from './put-off-line';

export const WhenSheet = piece(() => import('./when-sheet').then((module) => module.WhenSheet));
