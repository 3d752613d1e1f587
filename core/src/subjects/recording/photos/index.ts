export * from './photos-entries';
export * from './photos-operations';
