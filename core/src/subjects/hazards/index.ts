export * from './acknowledgement';
export * from './begin-work';
export * from './hazards-entries';
export * from './hazards-errors';
export * from './hazards-operations';
export * from './hazards-tables';
