export * from './review-limits';
export * from './settings';
export * from './settings-tables';
