export * from './generate';
export * from './line';
export { failureProcesses } from './past/processes';
