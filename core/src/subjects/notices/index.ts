export * from './notice-words';
export * from './notices';
export * from './notices-operations';
export * from './notices-tables';
export * from './notices-of-reports';
