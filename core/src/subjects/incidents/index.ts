export * from './incident';
export * from './incidents-operations';
export * from './incidents-tables';
