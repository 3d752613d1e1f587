export * from './device-clock';
export * from './logged';
export * from './protocol';
export * from './retry';
