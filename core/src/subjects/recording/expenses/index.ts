export * from './expenses-entries';
export * from './expenses-operations';
