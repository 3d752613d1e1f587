export * from './numbers';
export * from './numbers-errors';
