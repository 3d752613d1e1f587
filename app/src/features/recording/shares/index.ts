/** What other features may use of this one. */
export { ShareCosts } from './share-costs';
export { shareElement } from './share-element';
export { loadShareSheets, ShareLines, ShareOut } from './share-lines';
export { useHolders, useStepsInSight } from './steps-in-sight';
