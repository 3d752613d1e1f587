/** What other features may use of this one. */
export { DocumentList } from './document-list';
