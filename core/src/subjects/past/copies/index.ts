export * from './copies-errors';
export * from './copies-operations';
export * from './copies-tables';
export * from './copy';
