export * from './entries';
export * from './errors';
export * from './known-at';
export * from './notices';
export * from './operations';
export * from './past';
export * from './tables';
export * from './visibility';
