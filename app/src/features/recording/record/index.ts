/** What other features may use of this one. */
export { RecordList } from './record';
