export * from './record-document';
export * from './entry-rows';
export { entryColumns } from '../../orders/work/entry-columns';
