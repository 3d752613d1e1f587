export * from './label';
export * from './labels-errors';
export * from './labels-operations';
export * from './labels-tables';
