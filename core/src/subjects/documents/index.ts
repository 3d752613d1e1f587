export * from './documents';
export * from './documents-tables';
