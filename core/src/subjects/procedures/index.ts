export * from './procedure';
export * from './procedures-tables';
