/** What other features may use of this one. */
export { costWords } from './cost-words';
export { CostLines } from './cost-lines';
export { WorkSums } from './work-sums';
