export * from './stoppages-entries';
