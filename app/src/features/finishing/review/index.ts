import { piece } from '../../../ui/loading/piece';

/** What other features may use of this one. */
export { ReviewPane, type SheetOfWork } from './review-pane';
export { ReviewRow } from './review-row';
export { useReviews, type Waiting } from './use-reviews';

export const LimitsSheet = piece(() => import('./limits-sheet').then((module) => module.LimitsSheet));
