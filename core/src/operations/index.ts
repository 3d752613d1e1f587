export * from './actor';
export * from './envelope';
export * from './known';
export * from './operation';
export * from './operation-errors';
export * from './stamp';
