export * from './tool-cost';
export * from './tools-entries';
