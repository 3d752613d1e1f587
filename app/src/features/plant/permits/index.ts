/** What other features may use of this one. */
export { PermitList } from './permit-list';
