import { piece } from '../../ui/piece';

/** The sheet of a work order: loaded behind the list, so that the first job opens at once. */
export const SheetPiece = piece(() => import('./work-sheet').then((module) => module.WorkSheet));
