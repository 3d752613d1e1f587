import { piece } from '../../../ui/loading/piece';

/** What other features may use of this one. */
export const DoneScreen = piece(() => import('./done-screen').then((module) => module.DoneScreen));
