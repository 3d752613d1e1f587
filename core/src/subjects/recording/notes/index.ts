export * from './notes-entries';
export * from './notes-operations';
