import { lazyComponent } from '../../../ui/loading/lazy-component';

/** What other features may use of this one. */
export { ChainLines } from './chain-lines';
export { furtherArgs } from './further-args';
export { LeftToDo } from './left-to-do';
export { useLeft } from './use-left';

/** Loaded with the sheet, so that it opens without signal too. */
export const FurtherSheet = lazyComponent(() => import('./further-sheet').then((module) => module.FurtherSheet));
