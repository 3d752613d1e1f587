import { piece } from '../../../ui/loading/piece';

/** What other features may use of this one. */
export { CodeFault } from './code-fault';
export { faultLine } from './words';

export const CatalogueSheet = piece(() => import('./catalogue-sheet').then((module) => module.CatalogueSheet));
