export * from './memory-records';
export * from './records';
export * from './staged-records';
export * from './table';
export * from './upgrade';
