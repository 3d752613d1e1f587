/** What other features may use of this one. */
export { stoppageLine } from './stoppages-views';
