/** The server's side of synchronization without its routes, for tests of any package; never part of what ships. */
export { sqlName } from '../database/sql-names';
export { SqlRecords } from '../database/sql-records';
export { mayNameFile, noteFile } from '../files/known-files';
export { numbersOf } from '../numbers/reserve-numbers';
export { DueWork } from '../plans/make-due-work';
export { keepSmall } from '../retention/nightly';
export { pull, readWork } from '../sync/pull';
export { push } from '../sync/push';
export { freshDatabase, isOnPostgres } from './fresh-database';
export { openSession, SESSION_COOKIE } from '../accounts/sessions';
export { connectTo } from './connect-to';
export { machineClock } from '../clock';
