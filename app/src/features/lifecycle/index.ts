/** What other features may use of this one. */
export { HoldSheet } from './hold-sheet';
