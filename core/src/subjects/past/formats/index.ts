export * from './entry-rows';
export * from './record-document';
