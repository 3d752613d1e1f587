export * from './codes';
export * from './faults-entries';
