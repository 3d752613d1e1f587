export * from './raise-rules';
export * from './raise-rules-operations';
export * from './raise-rules-tables';
