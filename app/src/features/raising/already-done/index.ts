import { lazyComponent } from '../../../ui/loading/lazy-component';

/** What other features may use of this one. */
export const DoneScreen = lazyComponent(() => import('./done-screen').then((module) => module.DoneScreen));
