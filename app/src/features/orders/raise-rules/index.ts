import { piece } from '../../../ui/loading/piece';

/** What other features may use of this one. */
export const RulesSheet = piece(() => import('./rules-sheet').then((module) => module.RulesSheet));
