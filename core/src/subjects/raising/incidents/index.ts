export * from './incident';
export * from './incident-fields';
export * from './incidents-operations';
export * from './incidents-tables';
