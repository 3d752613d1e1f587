export * from './find-words';
export * from './findable-rows';
export * from './finder';
export * from './found-together';
export * from './found-work';
