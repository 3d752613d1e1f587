/** What other features may use of this one. */
export { DropSheet } from './drop-sheet';
export { HandBackSheet } from './hand-back-sheet';
export { HoldSheet } from './hold-sheet';
