export * from './answer-field';
export * from './question-field';
export * from './step';
export * from './steps-entries';
export * from './steps-errors';
export * from './steps-operations';
export * from './steps-tables';
