/** What other features may use of this one. */
export { CostLines } from './cost-lines';
export { WorkSums } from './work-sums';
