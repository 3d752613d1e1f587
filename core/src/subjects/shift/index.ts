export * from './shift-order';
