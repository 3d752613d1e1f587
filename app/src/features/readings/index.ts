/** What other features may use of this one. */
export { NumberSheet } from './number-sheet';
