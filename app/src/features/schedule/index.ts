import { piece } from '../../ui/piece';

/** What other features may use of this one. */
export { PutOffLine } from './put-off-line';

export const WhenSheet = piece(() => import('./when-sheet').then((module) => module.WhenSheet));
