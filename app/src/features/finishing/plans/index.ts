import { lazyComponent } from '../../../ui/loading/lazy-component';

/** What other features may use of this one; loaded when it is shown, with the library that reads rules of dates. */
export const NextDueLine = lazyComponent(() => import('./next-due-line').then((module) => module.NextDueLine));
export const DueSoonLines = lazyComponent(() => import('./due-soon-lines').then((module) => module.DueSoonLines));
