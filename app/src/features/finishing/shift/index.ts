/** What other features may use of this one. */
export { showDay } from './use-narrowing';
