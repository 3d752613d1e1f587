export * from './chosen-steps';
export * from './procedure';
export * from './procedures-tables';
