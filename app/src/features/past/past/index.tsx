import { lazyComponent } from '../../../ui/loading/lazy-component';
import { AppText } from '../../../ui/theme/app-text';

const reading = <AppText soft>Reading the past …</AppText>;

/** What other features may use of this one. Its statistics are read in a worker; nobody waits for them. */
export const PastBrief = lazyComponent(() => import('./past').then((module) => module.PastBrief), reading);
export const LastFix = lazyComponent(() => import('./past').then((module) => module.LastFix));
export const RememberedJob = lazyComponent(() => import('./past').then((module) => module.RememberedJob));
