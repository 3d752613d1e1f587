export * from './demands-of';
export * from './demands-operations';
export * from './lifecycle-errors';
export * from './lifecycle-operations';
export * from './owed';
export * from './recorded-on';
