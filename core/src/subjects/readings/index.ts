export * from './limits';
export * from './reading';
export * from './readings-entries';
export * from './readings-errors';
export * from './readings-operations';
