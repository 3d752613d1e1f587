import { lazyComponent } from '../../../ui/loading/lazy-component';

/** What other features may use of this one. */
export const BinSheet = lazyComponent(() => import('./bin-sheet').then((module) => module.BinSheet));
