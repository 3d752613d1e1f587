export * from './count';
export * from './counts-errors';
export * from './counts-operations';
export * from './counts-tables';
export * from './likely-reasons';
