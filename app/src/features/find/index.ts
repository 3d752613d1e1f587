import { piece } from '../../ui/piece';

/** What other features may use of this one; loaded when somebody first looks for something. */
export const FoundList = piece(() => import('./found-list').then((module) => module.FoundList));
