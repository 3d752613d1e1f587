export * from './attachments-entries';
