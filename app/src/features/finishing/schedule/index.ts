import { lazyComponent } from '../../../ui/loading/lazy-component';

/** What other features may use of this one. */
export { dueOn } from './due-on';
export { PutOffLine } from './put-off-line';

export const WhenSheet = lazyComponent(() => import('./when-sheet').then((module) => module.WhenSheet));
