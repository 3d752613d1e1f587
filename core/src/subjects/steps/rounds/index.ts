export * from './round';
export * from './rounds-entries';
export * from './rounds-errors';
export * from './rounds-operations';
export * from './rounds-tables';
export * from './stop';
