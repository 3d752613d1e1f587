import { piece } from '../../../ui/loading/piece';

/** What other features may use of this one. */
export { StillOut, StoodStill } from './stood-still';
export { stoppageLine } from './stoppages-views';

export const MarkMachine = piece(() => import('./mark-machine').then((module) => module.MarkMachine));
