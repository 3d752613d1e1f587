import { lazyComponent } from '../../../ui/loading/lazy-component';

/** What other features may use of this one. */
export { CodeFault } from './code-fault';
export { faultLine } from './words';

export const CatalogueSheet = lazyComponent(() => import('./catalogue-sheet').then((module) => module.CatalogueSheet));
