/** The words of entries, for features that draw no record. */
export { entryWords } from './entry-words';
