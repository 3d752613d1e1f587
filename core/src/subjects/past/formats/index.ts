export * from './record-document';
