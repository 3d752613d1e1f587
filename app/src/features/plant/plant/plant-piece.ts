import { lazyComponent } from '../../../ui/loading/lazy-component';

/** The tree: two routes place it, and neither is the first screen. */
export const PlantPiece = lazyComponent(() => import('./plant-screen').then((module) => module.PlantScreen));
