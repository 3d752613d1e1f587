export * from './kit';
export * from './part-content';
export * from './part-use';
export * from './stock';
export * from './stock-entries';
export * from './stock-errors';
export * from './stock-operations';
export * from './stock-tables';
