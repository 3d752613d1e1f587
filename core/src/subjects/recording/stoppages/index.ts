export * from './downtime';
export { conditionBy } from './machine-condition';
export * from './stoppages-entries';
export * from './stoppages-errors';
export * from './stoppages-operations';
