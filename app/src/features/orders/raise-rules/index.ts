import { lazyComponent } from '../../../ui/loading/lazy-component';

/** What other features may use of this one. */
export const RulesSheet = lazyComponent(() => import('./rules-sheet').then((module) => module.RulesSheet));
