import { piece } from '../../../ui/loading/piece';

/** What other features may use of this one. */
export { GoAheadLine } from './go-ahead-line';
export const DeskGoAhead = piece(() => import('./desk-go-ahead').then((module) => module.DeskGoAhead));
