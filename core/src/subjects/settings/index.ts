export * from './settings';
export * from './settings-tables';
