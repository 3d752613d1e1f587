/** What other features may use of this one. */
export { useNarrowedWork } from './use-shift';
export { showDay } from './use-narrowing';
