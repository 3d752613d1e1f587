import { lazyComponent } from '../../../ui/loading/lazy-component';

/** What other features may use of this one. */
export { OthersWork, useIsOurs } from './others-work';
export { useMadeWork } from './made-work';
export { OpenNearby } from './open-nearby';
export { ownWork } from './own-work';
export { whyHere } from './rank-words';

export const GiveSheet = lazyComponent(() => import('./give-sheet').then((module) => module.GiveSheet));
