export * from './raise-errors';
export * from './raise-operations';
