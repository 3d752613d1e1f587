export * from './none';
export * from './none-entries';
