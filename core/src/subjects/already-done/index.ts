export * from './likely-fault';
export * from './likely-machines';
export * from './read-done';
