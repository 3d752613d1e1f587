import { piece } from '../../../ui/loading/piece';

/** What other features may use of this one. */
export { IncidentRows } from './incident-rows';
export const IncidentForm = piece(() => import('./incident-form').then((module) => module.IncidentForm));
