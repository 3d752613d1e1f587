export * from './review';
export * from './review-operations';
export * from './review-tables';
export * from './unusual';
