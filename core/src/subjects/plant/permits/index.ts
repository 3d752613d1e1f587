export * from './permit';
export * from './permits-tables';
