export * from './notice-words';
export * from './notices';
export * from './notices-of-work';
export * from './notices-operations';
export * from './notices-tables';
export * from './notices-of-reports';
export * from './notices-of-requests';
