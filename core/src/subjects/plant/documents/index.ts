export * from './documents';
export * from './documents-tables';
export * from './pages';
