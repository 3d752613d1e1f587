export * from './issue-errors';
export * from './issue-operations';
