export * from './transfer';
export * from './transfers-errors';
export * from './transfers-operations';
export * from './transfers-tables';
