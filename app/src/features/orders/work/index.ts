import { piece } from '../../../ui/loading/piece';

/** What other features may use of this one. */
export { OthersWork, useIsOurs } from './others-work';
export { useMadeWork } from './made-work';
export { OpenNearby } from './open-nearby';
export { ownWork } from './own-work';
export { whyHere } from './rank-words';

export const GiveSheet = piece(() => import('./give-sheet').then((module) => module.GiveSheet));
