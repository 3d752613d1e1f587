/** Rows and suites for tests of any package; never part of what ships. */
export * from './builders';
export * from './plan-builders';
export * from './records-conformance';
export * from './report-builders';
export * from './works';
export * from './pictures';
export * from './store-builders';
