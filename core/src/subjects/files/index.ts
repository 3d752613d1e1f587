export * from './camera-notes';
export * from './file-field';
export * from './files';
export * from './files-errors';
