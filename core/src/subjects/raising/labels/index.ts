export * from './label';
export * from './labels-errors';
export * from './labels-operations';
export * from './labels-tables';
export * from './report-label';
export * from './report-label-operations';
