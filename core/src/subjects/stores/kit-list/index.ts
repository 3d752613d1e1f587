export * from './kit-list';
export * from './kit-list-errors';
export * from './kit-list-operations';
export * from './kit-list-tables';
export * from './needed-within';
