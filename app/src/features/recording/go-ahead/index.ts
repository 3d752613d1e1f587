import { lazyComponent } from '../../../ui/loading/lazy-component';

/** What other features may use of this one. */
export { GoAheadLine } from './go-ahead-line';
export const DeskGoAhead = lazyComponent(() => import('./desk-go-ahead').then((module) => module.DeskGoAhead));
