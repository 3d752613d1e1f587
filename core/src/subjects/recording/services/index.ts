export * from './service-price';
export * from './services-entries';
