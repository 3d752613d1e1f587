/** What other features may use of this one. */
export { KeepingBar } from './bars';
