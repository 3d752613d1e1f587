import { piece } from '../../../ui/loading/piece';
import { Words } from '../../../ui/theme/words';

const reading = <Words soft>Reading the past …</Words>;

/** What other features may use of this one. Its statistics are read in a worker; nobody waits for them. */
export const PastBrief = piece(() => import('./past').then((module) => module.PastBrief), reading);
export const LastFix = piece(() => import('./past').then((module) => module.LastFix));
export const RememberedJob = piece(() => import('./past').then((module) => module.RememberedJob));
