import type { Knex } from 'knex';
import { createRowTables } from './row-tables';

/** Who follows which machine. */
export const followedMachines = {
  name: '019-followed-machines',
  up: (database: Knex): Promise<void> => createRowTables(database, { asset_follows: ['person', 'asset'] }),
};
