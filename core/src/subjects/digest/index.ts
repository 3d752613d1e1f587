export * from './digest';
