import { lazyComponent } from '../../../ui/loading/lazy-component';

/** What other features may use of this one. */
export const ForgottenClock = lazyComponent(() => import('./forgotten-clock').then((module) => module.ForgottenClock));
