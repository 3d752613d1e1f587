export * from './go-ahead';
export * from './go-ahead-errors';
export * from './go-ahead-operations';
export * from './take-on';
