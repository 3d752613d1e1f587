export * from './clock';
export * from './labor';
export * from './labor-entries';
export * from './labor-errors';
export * from './labor-operations';
export * from './labor-tables';
export * from './stop-clock';
