export * from './guest-reports';
