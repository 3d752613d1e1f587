/** The words of operations, for features that need no screen of what is not sent. */
export { operationWords } from './operation-words';
