export * from './isolation';
export * from './isolation-entries';
export * from './isolation-errors';
export * from './isolation-operations';
