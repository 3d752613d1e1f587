import { lazyComponent } from '../../../ui/loading/lazy-component';

/** What other features may use of this one. */
export { DropSheet } from './drop-sheet';
export { HandBackSheet } from './hand-back-sheet';
export { HandOverLine } from './hand-over-line';
export { HoldSheet } from './hold-sheet';

export const DemandsSheet = lazyComponent(() => import('./demands-sheet').then((module) => module.DemandsSheet));

/** Loaded with the sheet, so that a job is finished without signal too. */
export const FinishSheet = lazyComponent(() => import('./finish-sheet').then((module) => module.FinishSheet));
