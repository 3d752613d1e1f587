export * from './clock-place';
