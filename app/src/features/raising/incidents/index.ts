import { lazyComponent } from '../../../ui/loading/lazy-component';

/** What other features may use of this one. */
export { IncidentRows } from './incident-rows';
export const IncidentForm = lazyComponent(() => import('./incident-form').then((module) => module.IncidentForm));
