export * from './by-time';
export * from './shift-order';
