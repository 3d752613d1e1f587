export * from './device-clock';
export * from './protocol';
export * from './retry';
