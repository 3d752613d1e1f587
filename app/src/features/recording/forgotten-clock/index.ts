import { piece } from '../../../ui/loading/piece';

/** What other features may use of this one. */
export const ForgottenClock = piece(() => import('./forgotten-clock').then((module) => module.ForgottenClock));
