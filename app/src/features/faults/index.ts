/** What other features may use of this one. */
export { faultLine } from './words';
