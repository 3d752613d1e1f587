/** What other features may use of this one. */
export { IncidentRows } from './incident-rows';
