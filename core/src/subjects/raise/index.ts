export * from './raise-errors';
export * from './raise-operations';
export * from './hazards-there';
