export * from './app';
export * from './config';
export * from './open-database';
export * from './database/sql-records';
export * from './files/known-files';
export * from './load/load';
export { numbersOf } from './numbers/reserve-numbers';
export * from './sync/pull';
export * from './sync/push';
