export * from './entries';
export * from './errors';
export * from './known-at';
export * from './newest-version';
export * from './notices';
export * from './past';
export * from './tables';
export * from './visibility';
