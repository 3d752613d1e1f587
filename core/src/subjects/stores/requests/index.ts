export * from './find-request';
export * from './request';
export * from './requests-errors';
export * from './requests-operations';
export * from './requests-tables';
export * from './settle';
