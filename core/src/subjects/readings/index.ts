export * from './alarm-work';
export * from './limits';
export * from './reading';
export * from './readings-entries';
export * from './readings-errors';
export * from './readings-operations';
export * from './unusual';
export * from './changing';
export { inDays, type Trend } from './trend';
