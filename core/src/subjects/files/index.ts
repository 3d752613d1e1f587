export * from './file-field';
export * from './files';
export * from './files-errors';
