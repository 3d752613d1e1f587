import { lazyComponent } from '../../../ui/loading/lazy-component';

/** What other features may use of this one. */
export { JobRequests, RequestRow } from './job-requests';
export { neededWords } from './request-words';
export const AskSheet = lazyComponent(() => import('./ask-sheet').then((module) => module.AskSheet));
