export * from './camera-notes';
export * from './file-field';
export * from './file-signatures';
export * from './files';
export * from './files-errors';
export * from './photo-field';
