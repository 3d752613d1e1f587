/** What other features may use of this one. */
export { useStoreLines } from './use-store-lines';
