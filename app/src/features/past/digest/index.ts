import { piece } from '../../../ui/loading/piece';

/** What other features may use of this one. */
export { useSeen } from './away';

/** Loaded after the list, since it shows once in a shift. */
export const Digest = piece(() => import('./digest').then((module) => module.Digest));
