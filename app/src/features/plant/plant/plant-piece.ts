import { piece } from '../../../ui/loading/piece';

/** The tree: two routes place it, and neither is the first screen. */
export const PlantPiece = piece(() => import('./plant-screen').then((module) => module.PlantScreen));
