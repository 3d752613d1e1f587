export * from './lifecycle-errors';
export * from './lifecycle-operations';
export * from './owed';
