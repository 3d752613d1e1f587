import type { Knex } from 'knex';
import { createRowTables } from './row-tables';

/** Reusable steps, and the stops of rounds. */
export const proceduresAndStops = {
  name: '008-procedures-and-stops',
  up: (database: Knex): Promise<void> =>
    createRowTables(database, { procedures: ['site'], stops: ['site', 'work_order'] }),
};
