export * from './by-share';
export * from './share';
export * from './shares-entries';
export * from './shares-errors';
export * from './shares-operations';
export * from './shares-tables';
