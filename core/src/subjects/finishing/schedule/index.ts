export * from './schedule';
export * from './schedule-entries';
