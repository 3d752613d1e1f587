import { lazyComponent } from '../../../ui/loading/lazy-component';

/** What other features may use of this one. */
export { StillOut, StoodStill } from './stood-still';
export { stoppageLine } from './stoppages-views';

export const MarkMachine = lazyComponent(() => import('./mark-machine').then((module) => module.MarkMachine));
