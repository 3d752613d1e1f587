export * from './return-entries';
export * from './return-errors';
export * from './return-operations';
export * from './seal';
