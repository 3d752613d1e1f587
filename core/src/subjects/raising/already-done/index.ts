export * from './likely-fault';
export * from './likely-machines';
export * from './open-like';
export * from './read-done';
export type { Stretch } from './times-said';
