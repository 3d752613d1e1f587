import { lazyComponent } from '../../../ui/loading/lazy-component';

/** What other features may use of this one. */
export { useSeen } from './away';

/** Loaded after the list, since it shows once in a shift. */
export const Digest = lazyComponent(() => import('./digest').then((module) => module.Digest));
