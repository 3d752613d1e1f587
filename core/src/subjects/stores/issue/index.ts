export * from './issue-errors';
export * from './issue-operations';
export * from './store-list';
export * from './part-standing';
