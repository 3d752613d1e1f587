export * from './left';
