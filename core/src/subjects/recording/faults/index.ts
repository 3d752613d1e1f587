export * from './codes';
export * from './faults-entries';
export * from './faults-operations';
export * from './find-faults';
export * from './catalogue-rows';
export { faultCatalogue } from './catalogue';
export { plainMode } from './plain-words';
