export * from './worst-waiting';
