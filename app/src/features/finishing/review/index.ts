import { lazyComponent } from '../../../ui/loading/lazy-component';

/** What other features may use of this one. */
export { ReviewPane, type SheetOfWork } from './review-pane';
export { ReviewRow } from './review-row';
export { useReviews, type Waiting } from './use-reviews';

export const LimitsSheet = lazyComponent(() => import('./limits-sheet').then((module) => module.LimitsSheet));
