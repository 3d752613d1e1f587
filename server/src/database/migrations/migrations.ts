import type { Knex } from 'knex';
import { firstTables } from './001-first-tables';
import { filesAndDeviceClocks } from './002-files-and-device-clocks';
import { past } from './003-past';
import { preparing } from './004-preparing';
import { permitsAndContacts } from './005-permits-and-contacts';
import { whoseRowsAre } from './006-whose-rows-are';
import { numbers } from './007-numbers';
import { proceduresAndStops } from './008-procedures-and-stops';
import { shares } from './009-shares';
import { pastOfStops } from './010-past-of-stops';
import { reviews } from './012-reviews';
import { plans } from './013-plans';
import { log } from './014-log';
import { copies } from './015-copies';
import { calendarLinks } from './016-calendar-links';
import { reports } from './017-reports';
import { hazardsAndPrices } from './018-hazards-and-prices';
import { followedMachines } from './019-followed-machines';
import { feed } from './020-feed';
import { dueAndPastVersions } from './021-due-and-past-versions';
import { stores } from './022-stores';
import { timeOnNoJob } from './011-time-on-no-job';

interface Migration {
  readonly name: string;
  readonly up: (database: Knex) => Promise<void>;
}

/** Every migration in its order. They only go forward; a released one is never changed. */
const all: readonly Migration[] = [
  firstTables,
  filesAndDeviceClocks,
  past,
  preparing,
  permitsAndContacts,
  whoseRowsAre,
  numbers,
  proceduresAndStops,
  shares,
  pastOfStops,
  timeOnNoJob,
  reviews,
  plans,
  log,
  copies,
  calendarLinks,
  reports,
  hazardsAndPrices,
  followedMachines,
  feed,
  dueAndPastVersions,
  stores,
];

export const migrations: Knex.MigrationSource<Migration> = {
  getMigrations: () => Promise.resolve([...all]),
  getMigrationName: (migration) => migration.name,
  getMigration: (migration) =>
    Promise.resolve({
      up: migration.up,
      down: () => Promise.reject(new Error('Migrations only go forward. Restore a backup instead.')),
    }),
};
