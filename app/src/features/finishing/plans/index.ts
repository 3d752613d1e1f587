import { piece } from '../../../ui/loading/piece';

/** What other features may use of this one; loaded when it is shown, with the library that reads rules of dates. */
export const NextDueLine = piece(() => import('./next-due-line').then((module) => module.NextDueLine));
export const DueSoonLines = piece(() => import('./due-soon-lines').then((module) => module.DueSoonLines));
