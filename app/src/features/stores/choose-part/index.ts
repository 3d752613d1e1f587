/** What other features may use of this one. */
export { findParts, partsInBin, partsOf } from './find-parts';
export { PartChoice } from './part-choice';
